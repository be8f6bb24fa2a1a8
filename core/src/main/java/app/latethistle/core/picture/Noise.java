package app.latethistle.core.picture;

/** Chance that is the same each time it is asked. */
final class Noise {
  private Noise() {}

  /** A number from 0 to 1 that hangs on a seed and three numbers alone. */
  static double value(int x, int y, long seed) {
    int hash = x * 0x9E3779B1 ^ y * 0x85EBCA77 ^ Long.hashCode(seed) * 0xC2B2AE3D;
    hash = (hash ^ hash >>> 15) * 0x2C1B3C6D;
    hash = (hash ^ hash >>> 12) * 0x297A2D39;
    return (hash >>> 8) / (double) (1 << 24);
  }

  /** A place of a smooth field with a value from 0 to 1 on each whole number. */
  static double smooth(double x, double y, long seed) {
    int column = (int) Math.floor(x);
    int row = (int) Math.floor(y);
    double u = Weighing.smooth(0, 1, x - column);
    double v = Weighing.smooth(0, 1, y - row);
    double top = value(column, row, seed) * (1 - u) + value(column + 1, row, seed) * u;
    double bottom = value(column, row + 1, seed) * (1 - u) + value(column + 1, row + 1, seed) * u;
    return top * (1 - v) + bottom * v;
  }

  /**
   * Value noise in octaves, each half as strong and twice as fine (Perlin 1985, "An Image
   * Synthesizer", with values in place of gradients), 0 to 1, spread so that it fills the range.
   */
  static double cloud(double x, double y, int octaves) {
    double sum = 0;
    double all = 0;
    double strength = 1;
    for (int o = 0; o < octaves; o++) {
      sum += strength * smooth(x, y, o);
      all += strength;
      strength /= 2;
      x *= 2;
      y *= 2;
    }
    // The mean of octaves lies about the middle.
    return spread(sum / all);
  }

  /** A course in time, -1 to 1, in two octaves. */
  static double course(double at, int line, long seed) {
    double slow = smooth(at, line, seed);
    double quick = smooth(2.3 * at + 17, line, seed);
    return 2 * spread((2 * slow + quick) / 3) - 1;
  }

  private static double spread(double mean) {
    return Math.max(0, Math.min(1, 0.5 + 1.6 * (mean - 0.5)));
  }
}
