package app.latethistle.core.picture;

/** Thresholds in an ordered pattern of eight by eight (Bayer 1973). */
final class Dither {
  private static final int SIDE = 8;

  /** Of what the thresholds are parts, as a power of two. */
  static final int BITS = 15;

  private Dither() {}

  /**
   * What is added to values before they are rounded down, above 0 and below one, row by row; they
   * come again after the last.
   *
   * @param width values a row
   */
  static int[][] rows(int width) {
    int[][] rows = new int[SIDE][width];
    for (int y = 0; y < SIDE; y++) {
      for (int x = 0; x < width; x++) {
        int order = 0;
        for (int bit = 0; bit < 3; bit++) {
          int across = x >> bit & 1;
          int down = y >> bit & 1;
          order |= ((across ^ down) << 1 | down) << (2 * (2 - bit));
        }
        rows[y][x] = ((2 * order + 1) << BITS) / (2 * SIDE * SIDE);
      }
    }
    return rows;
  }
}
