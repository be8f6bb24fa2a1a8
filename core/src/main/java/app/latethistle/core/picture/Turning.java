package app.latethistle.core.picture;

/**
 * Turns a picture about its middle into another one, at the same scale, by the cubic of Keys (1981,
 * a = -0.5) over four by four samples; past the edges they are repeated.
 */
final class Turning {
  /** Places between two samples that the filter tells apart. */
  private static final int PHASES = 256;

  private static final int BITS = 14;
  private static final int FIXED = 20;
  private static final int[] WEIGHTS = weights();

  private Turning() {}

  /**
   * Draws the part of a picture that a turned window of the target's size shows.
   *
   * @param turn of the window, clockwise, in radians
   */
  static void draw(Frame source, Frame target, double turn) {
    for (int plane = 0; plane < 3; plane++) {
      int part = plane == 0 ? 1 : 2;
      // Chroma is sited at the left luma sample of each pair.
      double siting = plane == 0 ? 0.5 : 0.25;
      plane(source, target, plane, part, siting, Math.cos(turn), Math.sin(turn));
    }
  }

  private static void plane(
      Frame source, Frame target, int plane, int part, double siting, double cos, double sin) {
    int w = source.width() / part;
    int h = source.height() / part;
    int width = target.width() / part;
    int height = target.height() / part;
    byte[] data = source.data();
    int offset = source.offset(plane);
    byte[] into = target.data();
    int at = target.offset(plane);
    for (int row = 0; row < height; row++) {
      double y = row + 0.5 - height / 2.0;
      double x = siting - width / 2.0;
      long u = fixed(x * cos - y * sin + w / 2.0 - siting);
      long v = fixed(x * sin + y * cos + h / 2.0 - 0.5);
      long du = fixed(cos);
      long dv = fixed(sin);
      for (int i = 0; i < width; i++, u += du, v += dv) {
        into[at++] = sample(data, offset, w, h, u, v);
      }
    }
  }

  /**
   * A plane's value between its samples, 0 to 255.
   *
   * @param x in samples from the middle of the first one
   */
  static int sample(byte[] data, int offset, int w, int h, double x, double y) {
    return sample(data, offset, w, h, fixed(x), fixed(y)) & 0xff;
  }

  private static byte sample(byte[] data, int offset, int w, int h, long u, long v) {
    int column = (int) (u >> FIXED) - 1;
    int line = (int) (v >> FIXED) - 1;
    int across = phase(u);
    int down = phase(v);
    long sum = 0;
    for (int r = 0; r < 4; r++) {
      int y = Math.max(0, Math.min(h - 1, line + r));
      int from = offset + y * w;
      int row = 0;
      for (int c = 0; c < 4; c++) {
        int x = Math.max(0, Math.min(w - 1, column + c));
        row += (data[from + x] & 0xff) * WEIGHTS[across + c];
      }
      sum += (long) row * WEIGHTS[down + r];
    }
    long value = (sum + (1L << (2 * BITS - 1))) >> (2 * BITS);
    return (byte) Math.max(0, Math.min(255, value));
  }

  private static int phase(long place) {
    return 4 * (int) ((place >> (FIXED - 8)) & (PHASES - 1));
  }

  private static long fixed(double value) {
    return Math.round(value * (1 << FIXED));
  }

  /** Four weights a phase, each four adding up to one. */
  private static int[] weights() {
    int[] weights = new int[4 * PHASES];
    for (int p = 0; p < PHASES; p++) {
      double on = (p + 0.5) / PHASES;
      int left = 1 << BITS;
      for (int t = 0; t < 4; t++) {
        int value = (int) Math.round(cubic(t - 1 - on) * (1 << BITS));
        weights[4 * p + t] = value;
        left -= value;
      }
      weights[4 * p + (on < 0.5 ? 1 : 2)] += left;
    }
    return weights;
  }

  private static double cubic(double distance) {
    double x = Math.abs(distance);
    if (x < 1) {
      return (1.5 * x - 2.5) * x * x + 1;
    }
    return x < 2 ? ((-0.5 * x + 2.5) * x - 4) * x + 2 : 0;
  }
}
