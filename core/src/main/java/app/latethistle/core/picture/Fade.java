package app.latethistle.core.picture;

/** Brings a frame towards black. */
public final class Fade {
  private Fade() {}

  /**
   * Scales a frame's distance from black, in place.
   *
   * @param gain 1 leaves it, 0 makes it black
   */
  public static void toBlack(Frame frame, double gain) {
    if (gain >= 1) {
      return;
    }
    byte[] luma = table(16, gain);
    byte[] chroma = table(128, gain);
    byte[] data = frame.data();
    int pixels = frame.width() * frame.height();
    for (int i = 0; i < pixels; i++) {
      data[i] = luma[data[i] & 0xff];
    }
    for (int i = pixels; i < data.length; i++) {
      data[i] = chroma[data[i] & 0xff];
    }
  }

  private static byte[] table(int zero, double gain) {
    byte[] table = new byte[256];
    for (int v = 0; v < 256; v++) {
      table[v] = (byte) Math.max(0, Math.min(255, Math.round(zero + (v - zero) * gain)));
    }
    return table;
  }
}
