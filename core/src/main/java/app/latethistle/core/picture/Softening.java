package app.latethistle.core.picture;

/** What is made of a picture and a soft one of itself: blur, hardness, glow, mist. */
final class Softening implements TreatmentPainter {
  private static final int BLACK = 16;
  private static final int WHITE = 235;

  /** A mist is as far as this from black to white: common practice, no source. */
  private static final double MIST = 0.72;

  /** How soft what is behind a mist is, in thousandths of the height. */
  private static final double MIST_SIZE = 12;

  private final Use use;
  private final Blurring luma;
  private final Blurring chroma;

  /** What is made of the soft picture. */
  enum Use {
    BLUR,
    SHARPEN,
    GLOW,
    HAZE
  }

  Softening(int width, int height, Use use) {
    this.use = use;
    luma = new Blurring(width, height);
    chroma = new Blurring(width / 2, height / 2);
  }

  @Override
  public void draw(Frame from, Frame into, Setting setting) {
    for (int plane = 0; plane < 3; plane++) {
      switch (use) {
        case BLUR -> blur(from, into, plane, setting.pixels(0, from));
        case SHARPEN -> sharpen(from, into, plane, setting);
        case GLOW -> glow(from, into, plane, setting);
        case HAZE -> haze(from, into, plane, setting);
      }
    }
  }

  private float[] soft(Frame from, int plane, double sigma) {
    return plane == 0
        ? luma.of(from.data(), 0, sigma)
        : chroma.of(from.data(), from.offset(plane), sigma / 2);
  }

  private void blur(Frame from, Frame into, int plane, double sigma) {
    float[] soft = soft(from, plane, sigma);
    int at = from.offset(plane);
    for (int i = 0; i < soft.length; i++) {
      into.data()[at + i] = (byte) (soft[i] + 0.5f);
    }
  }

  /** The difference from the soft one once more; colours stay. */
  private void sharpen(Frame from, Frame into, int plane, Setting setting) {
    if (plane > 0) {
      copy(from, into, plane);
      return;
    }
    float amount = (float) setting.share(0);
    float[] soft = soft(from, plane, setting.pixels(1, from));
    for (int i = 0; i < soft.length; i++) {
      int value = from.data()[i] & 0xff;
      into.data()[i] = code(value + amount * (value - soft[i]));
    }
  }

  /** What lies above a brightness, made soft and laid over as light: screened. */
  private void glow(Frame from, Frame into, int plane, Setting setting) {
    if (plane > 0) {
      copy(from, into, plane);
      return;
    }
    float amount = (float) setting.share(0);
    float least = (float) (BLACK + (WHITE - BLACK) * setting.share(2));
    float[] bright = luma.values();
    for (int i = 0; i < bright.length; i++) {
      bright[i] =
          Math.max(0, (from.data()[i] & 0xff) - least) * (WHITE - BLACK) / (WHITE - least + 1);
    }
    float[] light = luma.blurred(setting.pixels(1, from));
    for (int i = 0; i < light.length; i++) {
      int value = from.data()[i] & 0xff;
      float room = Math.max(0, WHITE - value);
      into.data()[i] = code(value + amount * light[i] * room / (WHITE - BLACK) * 2);
    }
  }

  private void haze(Frame from, Frame into, int plane, Setting setting) {
    float amount = (float) setting.share(0);
    float[] soft = soft(from, plane, MIST_SIZE * from.height() / 1000 * amount);
    float mist = (float) (plane == 0 ? BLACK + MIST * (WHITE - BLACK) : 128);
    int at = from.offset(plane);
    for (int i = 0; i < soft.length; i++) {
      into.data()[at + i] = code(soft[i] + amount * (mist - soft[i]));
    }
  }

  static void copy(Frame from, Frame into, int plane) {
    int at = from.offset(plane);
    int end = plane == 2 ? from.data().length : from.offset(plane + 1);
    System.arraycopy(from.data(), at, into.data(), at, end - at);
  }

  /** A value as a sample that a frame may have. */
  static byte code(float value) {
    return (byte) Math.max(1, Math.min(254, (int) (value + 0.5f)));
  }
}
