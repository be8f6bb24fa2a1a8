package app.latethistle.core.picture;

/**
 * Light that falls off towards the corners: all of it within an ellipse of the picture's shape,
 * then less, along a smooth step. Where levels are fewer than steps of brightness they are laid out
 * in an ordered pattern (Bayer 1973), so that a sky shows no rings.
 */
final class Vignette implements TreatmentPainter {
  private static final int BLACK = 16;
  private static final int GREY = 128;

  private final int width;
  private final int height;

  /** How far each luma sample is into the fall-off, 0 to 1. */
  private final float[] fall;

  private double from = -1;
  private double soft = -1;

  Vignette(int width, int height) {
    this.width = width;
    this.height = height;
    fall = new float[width * height];
  }

  @Override
  public void draw(Frame frame, Frame into, Setting setting) {
    shape(setting.share(1), setting.share(2));
    float amount = (float) setting.share(0);
    byte[] a = frame.data();
    byte[] b = into.data();
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        int i = y * width + x;
        int above = (a[i] & 0xff) - BLACK;
        b[i] = (byte) (BLACK + Math.floor(above * (1 - amount * fall[i]) + Dither.at(x, y)));
      }
    }
    for (int plane = 1; plane < 3; plane++) {
      int at = frame.offset(plane);
      for (int y = 0; y < height / 2; y++) {
        for (int x = 0; x < width / 2; x++, at++) {
          float light = 1 - amount * fall[2 * y * width + 2 * x];
          b[at] = (byte) Math.round(GREY + ((a[at] & 0xff) - GREY) * light);
        }
      }
    }
  }

  private void shape(double from, double soft) {
    if (this.from == from && this.soft == soft) {
      return;
    }
    this.from = from;
    this.soft = soft;
    for (int y = 0; y < height; y++) {
      double down = (2 * y + 1.0) / height - 1;
      for (int x = 0; x < width; x++) {
        double right = (2 * x + 1.0) / width - 1;
        double away = Math.sqrt(right * right + down * down);
        fall[y * width + x] = (float) Weighing.smooth(from, from + soft, away);
      }
    }
  }
}
