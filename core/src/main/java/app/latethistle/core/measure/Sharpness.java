package app.latethistle.core.measure;

/**
 * How sharp a picture is, without another to compare it with: what a blur takes away from the
 * differences between neighbours. A picture that loses little was blurred already. After Crete,
 * Dolmiere, Ladret and Nicolas, "The blur effect" (SPIE 6492, 2007), from memory.
 */
public final class Sharpness {
  private static final int REACH = 4;

  private Sharpness() {}

  /**
   * Of a picture's luma, 0 for wholly blurred to 1 for wholly sharp.
   *
   * @param luma row by row
   */
  public static double of(int width, int height, byte[] luma) {
    return of(Gray.of(width, height, luma));
  }

  /** 0 for wholly blurred to 1 for wholly sharp. */
  static double of(Gray g) {
    return Math.min(
        along(g, 1, g.width, g.height, g.width), along(g, g.width, g.height, g.width, 1));
  }

  /**
   * Along one direction.
   *
   * @param next from a pixel to its neighbour
   * @param length pixels in a line
   * @param lines how many lines
   * @param skip from line to line
   */
  private static double along(Gray g, int next, int length, int lines, int skip) {
    double all = 0;
    double kept = 0;
    int taps = 2 * REACH + 1;
    for (int line = 0; line < lines; line++) {
      int at = line * skip;
      double sum = 0;
      for (int i = 0; i < taps; i++) {
        sum += g.data[at + i * next];
      }
      float before = g.data[at + REACH * next];
      double blurredBefore = sum / taps;
      for (int i = REACH + 1; i < length - REACH; i++) {
        sum += g.data[at + (i + REACH) * next] - g.data[at + (i - REACH - 1) * next];
        float now = g.data[at + i * next];
        double blurred = sum / taps;
        double difference = Math.abs(now - before);
        all += difference;
        kept += Math.max(0, difference - Math.abs(blurred - blurredBefore));
        before = now;
        blurredBefore = blurred;
      }
    }
    return all < 1e-6 ? 0 : kept / all;
  }
}
