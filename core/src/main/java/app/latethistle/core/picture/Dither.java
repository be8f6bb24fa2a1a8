package app.latethistle.core.picture;

/** Thresholds in an ordered pattern of eight by eight (Bayer 1973). */
final class Dither {
  private static final int SIDE = 8;
  private static final float[] THRESHOLDS = thresholds();

  private Dither() {}

  /** What is added to a value before it is rounded down, above 0 and below 1. */
  static float at(int x, int y) {
    return THRESHOLDS[(y & SIDE - 1) * SIDE + (x & SIDE - 1)];
  }

  private static float[] thresholds() {
    float[] all = new float[SIDE * SIDE];
    for (int y = 0; y < SIDE; y++) {
      for (int x = 0; x < SIDE; x++) {
        int order = 0;
        for (int bit = 0; bit < 3; bit++) {
          int across = x >> bit & 1;
          int down = y >> bit & 1;
          order |= ((across ^ down) << 1 | down) << (2 * (2 - bit));
        }
        all[y * SIDE + x] = (order + 0.5f) / (SIDE * SIDE);
      }
    }
    return all;
  }
}
