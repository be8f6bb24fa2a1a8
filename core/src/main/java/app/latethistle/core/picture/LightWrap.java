package app.latethistle.core.picture;

/**
 * Lets the light of what lies under a picture, blurred, come round the edges of what lies over it,
 * the more the nearer the edge. Common practice, no source.
 *
 * <p>It is blurred in cells of four by four pixels, a sixteenth of the work, which cannot be seen:
 * at the smallest sizes the blur is as wide as a cell, at film sizes five times as wide.
 */
final class LightWrap {
  /** Over what part of the picture's height it comes in; one standard deviation. */
  private static final double REACH = 0.02;

  private static final int CELL = 4;

  private final int width;
  private final int height;
  private final int across;
  private final int down;
  private final Blurring blurring;
  private final float[] near;

  /** For pictures of one size. */
  LightWrap(int width, int height) {
    this.width = width;
    this.height = height;
    across = (width + CELL - 1) / CELL;
    down = (height + CELL - 1) / CELL;
    blurring = new Blurring(across, down);
    near = new float[across * down];
  }

  /**
   * Brings it into a part of a picture, whose sides are even.
   *
   * @param amount 0 to 1
   * @param cover how opaque the picture is, 0 to 255; only the part is looked at, there is nothing
   *     outside it
   */
  void draw(
      Frame under,
      double amount,
      Frame over,
      byte[] cover,
      int left,
      int top,
      int right,
      int bottom) {
    double sigma = REACH * height / CELL;
    float[] open = blurring.values();
    for (int row = 0; row < down; row++) {
      for (int column = 0; column < across; column++) {
        open[row * across + column] = openness(cover, row, column, left, top, right, bottom);
      }
    }
    System.arraycopy(blurring.blurred(sigma), 0, near, 0, near.length);
    for (int plane = 0; plane < 3; plane++) {
      int part = plane == 0 ? 1 : 2;
      means(under, plane, part);
      float[] light = blurring.blurred(sigma);
      double cell = (double) part / CELL;
      for (int y = top / part; y < bottom / part; y++) {
        for (int x = left / part; x < right / part; x++) {
          int at = over.offset(plane) + y * (width / part) + x;
          int value = over.data()[at] & 0xff;
          double u = (x + 0.5) * cell - 0.5;
          double v = (y + 0.5) * cell - 0.5;
          double share = amount * between(near, u, v);
          over.data()[at] = (byte) Math.round(value + share * (between(light, u, v) - value));
        }
      }
    }
  }

  /** How much of a cell is not covered, 0 to 1. */
  private float openness(
      byte[] cover, int row, int column, int left, int top, int right, int bottom) {
    int covered = 0;
    int pixels = 0;
    for (int y = CELL * row; y < Math.min(height, CELL * row + CELL); y++) {
      for (int x = CELL * column; x < Math.min(width, CELL * column + CELL); x++) {
        boolean within = y >= top && y < bottom && x >= left && x < right;
        covered += within ? cover[y * width + x] & 0xff : 0;
        pixels++;
      }
    }
    return 1 - covered / (255f * pixels);
  }

  /** The mean of each cell of a plane, into the blur's own values. */
  private void means(Frame frame, int plane, int part) {
    int w = width / part;
    int h = height / part;
    int side = CELL / part;
    float[] values = blurring.values();
    for (int row = 0; row < down; row++) {
      for (int column = 0; column < across; column++) {
        int sum = 0;
        int count = 0;
        for (int y = side * row; y < Math.min(h, side * row + side); y++) {
          for (int x = side * column; x < Math.min(w, side * column + side); x++) {
            sum += frame.data()[frame.offset(plane) + y * w + x] & 0xff;
            count++;
          }
        }
        values[row * across + column] = (float) sum / count;
      }
    }
  }

  /** A value between those of cells, whose middles are whole numbers; held at the sides. */
  private double between(float[] values, double u, double v) {
    double x = Math.max(0, Math.min(across - 1, u));
    double y = Math.max(0, Math.min(down - 1, v));
    int column = Math.min((int) x, Math.max(0, across - 2));
    int row = Math.min((int) y, Math.max(0, down - 2));
    int right = Math.min(1, across - 1);
    int below = Math.min(1, down - 1) * across;
    int at = row * across + column;
    double on = x - column;
    double upper = values[at] + (values[at + right] - values[at]) * on;
    double lower = values[at + below] + (values[at + below + right] - values[at + below]) * on;
    return upper + (lower - upper) * (y - row);
  }
}
