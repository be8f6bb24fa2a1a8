package app.latethistle.core.subject;

/** Values between those of a plane's pixels; beyond its rim they are as at the rim. */
final class Bilinear {
  private Bilinear() {}

  /**
   * The value at a place.
   *
   * @param values row by row, two rows of two at least
   * @param x in pixels; the middle of the first is 0
   */
  static double at(float[] values, int width, int height, double x, double y) {
    double u = Math.max(0, Math.min(width - 1.0, x));
    double v = Math.max(0, Math.min(height - 1.0, y));
    int left = Math.min((int) u, width - 2);
    int top = Math.min((int) v, height - 2);
    int at = top * width + left;
    double upper = values[at] + (u - left) * (values[at + 1] - values[at]);
    double lower = values[at + width] + (u - left) * (values[at + width + 1] - values[at + width]);
    return upper + (v - top) * (lower - upper);
  }
}
