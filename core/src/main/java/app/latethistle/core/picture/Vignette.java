package app.latethistle.core.picture;

/**
 * Light that falls off towards the corners: all of it within an ellipse of the picture's shape,
 * then less, along a smooth step. Where levels are fewer than steps of brightness they are laid out
 * in an ordered pattern (Bayer 1973), so that a sky shows no rings.
 */
final class Vignette implements TreatmentPainter {
  private static final int GREY = 128;

  /** Light is counted in parts of one; what is said of them holds for the thresholds too. */
  private static final int BITS = Dither.BITS;

  private static final int ONE = 1 << BITS;

  private final int width;
  private final int height;

  /** How far each luma sample is into the fall-off, 0 to {@link #ONE}. */
  private final int[] fall;

  private final int[] row;
  private final int[][] thresholds;
  private double from = -1;
  private double soft = -1;

  Vignette(int width, int height) {
    this.width = width;
    this.height = height;
    fall = new int[width * height];
    row = new int[width];
    thresholds = Dither.rows(width);
  }

  @Override
  public void draw(Frame frame, Frame into, Setting setting) {
    shape(setting.share(1), setting.share(2));
    int amount = (int) Math.round(ONE * setting.share(0));
    byte[] a = frame.data();
    byte[] b = into.data();
    for (int y = 0; y < height; y++) {
      luma(a, b, y, amount);
    }
    for (int plane = 1; plane < 3; plane++) {
      int at = frame.offset(plane);
      for (int y = 0; y < height / 2; y++) {
        for (int x = 0; x < width / 2; x++, at++) {
          int light = light(amount, 2 * y * width + 2 * x);
          b[at] = (byte) (GREY + ((((a[at] & 0xff) - GREY) * light + ONE / 2) >> BITS));
        }
      }
    }
  }

  /** In three loops, because the compiler vectorises what is of one width, as the second is. */
  private void luma(byte[] from, byte[] into, int y, int amount) {
    int[] codes = row;
    int[] falls = fall;
    int start = y * width;
    for (int x = 0; x < codes.length; x++) {
      codes[x] = (from[start + x] & 0xff) - Frame.BLACK;
    }
    int[] added = thresholds[y % thresholds.length];
    for (int x = 0; x < codes.length; x++) {
      int light = ONE - ((amount * falls[start + x]) >> BITS);
      codes[x] = Frame.BLACK + ((codes[x] * light + added[x]) >> BITS);
    }
    for (int x = 0; x < codes.length; x++) {
      into[start + x] = (byte) codes[x];
    }
  }

  /** What is left of the light at a sample. */
  private int light(int amount, int at) {
    return ONE - ((amount * fall[at]) >> BITS);
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
        fall[y * width + x] = (int) Math.round(ONE * Weighing.smooth(from, from + soft, away));
      }
    }
  }
}
