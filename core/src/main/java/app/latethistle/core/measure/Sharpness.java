package app.latethistle.core.measure;

/**
 * How sharp a picture is, without another to compare it with: what a blur takes away from the
 * differences between neighbours. A picture that loses little was blurred already. After Crete,
 * Dolmiere, Ladret and Nicolas, "The blur effect" (SPIE 6492, 2007), from memory.
 */
public final class Sharpness {
  private static final int REACH = 4;
  private static final int TAPS = 2 * REACH + 1;

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
    return Math.min(across(g), down(g));
  }

  private static double across(Gray g) {
    Loss loss = new Loss();
    for (int y = 0; y < g.height; y++) {
      int at = y * g.width;
      double sum = 0;
      for (int i = 0; i < TAPS; i++) {
        sum += g.data[at + i];
      }
      float before = g.data[at + REACH];
      double blurredBefore = sum / TAPS;
      for (int x = REACH + 1; x < g.width - REACH; x++) {
        sum += g.data[at + x + REACH] - g.data[at + x - REACH - 1];
        float now = g.data[at + x];
        double blurred = sum / TAPS;
        loss.add(Math.abs(now - before), Math.abs(blurred - blurredBefore));
        before = now;
        blurredBefore = blurred;
      }
    }
    return loss.kept();
  }

  /** Row by row as the picture lies in memory, with a sum for each column. */
  private static double down(Gray g) {
    Loss loss = new Loss();
    int width = g.width;
    float[] data = g.data;
    double[] sums = new double[width];
    for (int i = 0; i < TAPS * width; i++) {
      sums[i % width] += data[i];
    }
    for (int y = REACH + 1; y < g.height - REACH; y++) {
      int at = y * width;
      int comes = at + REACH * width;
      int goes = at - (REACH + 1) * width;
      for (int x = 0; x < width; x++) {
        double sum = sums[x] + (data[comes + x] - data[goes + x]);
        loss.add(
            Math.abs(data[at + x] - data[at - width + x]), Math.abs(sum / TAPS - sums[x] / TAPS));
        sums[x] = sum;
      }
    }
    return loss.kept();
  }

  /** What a blur takes away. */
  private static final class Loss {
    private double all;
    private double kept;

    void add(double difference, double blurred) {
      all += difference;
      kept += Math.max(0, difference - blurred);
    }

    double kept() {
      return all < 1e-6 ? 0 : kept / all;
    }
  }
}
