package app.latethistle.core.repair;

/**
 * How far a part of one picture has to be shifted to lie on another, to fractions of a pixel: the
 * least squared difference in luma, its place between pixels by a parabola through its neighbours.
 *
 * @param x to the right, in pixels
 * @param y downwards
 * @param off the difference that is left, in codes (root of the mean square); the mean brightness
 *     of both is not counted, for light changes
 */
record Nudge(double x, double y, double off) {
  /** The camera is known to some pixels. */
  private static final int REACH = 4;

  /** A picture that is asked for at a place between its pixels; NaN where it has none. */
  interface At {
    double luma(double x, double y);
  }

  /**
   * Finds it.
   *
   * @param here the part as it is
   * @param outside which of its pixels count, row by row
   * @param there the other picture, at the places of the first
   */
  static Nudge between(Crop here, boolean[] outside, At there) {
    double[][] cost = new double[2 * REACH + 1][2 * REACH + 1];
    int bestX = 0;
    int bestY = 0;
    double least = Double.MAX_VALUE;
    for (int y = -REACH; y <= REACH; y++) {
      for (int x = -REACH; x <= REACH; x++) {
        double found = difference(here, outside, there, x, y);
        cost[y + REACH][x + REACH] = found;
        // Where nothing tells, the camera's own movement is believed.
        double far = 1 + 1e-4 * (x * x + y * y);
        if (found * far < least) {
          least = found * far;
          bestX = x;
          bestY = y;
        }
      }
    }
    if (least == Double.MAX_VALUE) {
      return new Nudge(0, 0, Double.MAX_VALUE);
    }
    double partX = between(cost, bestX, bestY, 1, 0);
    double partY = between(cost, bestX, bestY, 0, 1);
    double off = difference(here, outside, there, bestX + partX, bestY + partY);
    return new Nudge(bestX + partX, bestY + partY, Math.sqrt(off));
  }

  private static double between(double[][] cost, int x, int y, int across, int down) {
    if (Math.abs(x) == REACH || Math.abs(y) == REACH) {
      return 0;
    }
    double before = cost[y - down + REACH][x - across + REACH];
    double at = cost[y + REACH][x + REACH];
    double after = cost[y + down + REACH][x + across + REACH];
    double bend = before - 2 * at + after;
    return bend <= 0 || bend == Double.POSITIVE_INFINITY
        ? 0
        : Math.max(-0.5, Math.min(0.5, (before - after) / (2 * bend)));
  }

  private static double difference(
      Crop here, boolean[] outside, At there, double shiftX, double shiftY) {
    double sum = 0;
    double squares = 0;
    int count = 0;
    for (int y = 0; y < here.height; y++) {
      for (int x = 0; x < here.width; x++) {
        int at = y * here.width + x;
        if (outside[at]) {
          double other = there.luma(x + shiftX, y + shiftY);
          if (!Double.isNaN(other)) {
            double off = here.planes[0][at] - other;
            sum += off;
            squares += off * off;
            count++;
          }
        }
      }
    }
    if (count < 32) {
      return Double.MAX_VALUE;
    }
    double mean = sum / count;
    return Math.max(0, squares / count - mean * mean);
  }
}
