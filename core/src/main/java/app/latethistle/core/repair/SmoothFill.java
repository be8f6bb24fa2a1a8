package app.latethistle.core.repair;

/**
 * Fills a hole as smoothly as its border lets it: every place is the mean of its four neighbours
 * (Laplace's equation, by successive over-relaxation).
 */
final class SmoothFill {
  /** Between 1 and 2; near the best for holes of some tens of pixels (Young 1954). */
  private static final float RELAX = 1.9f;

  private static final int ROUNDS = 300;

  private SmoothFill() {}

  /**
   * Fills what is not known.
   *
   * @param unknown places, row by row; some beside them are known
   */
  static void fill(Crop crop, boolean[] unknown) {
    for (float[] plane : crop.planes) {
      float mean = mean(plane, unknown);
      for (int i = 0; i < plane.length; i++) {
        plane[i] = unknown[i] ? mean : plane[i];
      }
      for (int round = 0; round < ROUNDS; round++) {
        relax(plane, unknown, crop.width, crop.height);
      }
    }
  }

  private static float mean(float[] plane, boolean[] unknown) {
    double sum = 0;
    int count = 0;
    for (int i = 0; i < plane.length; i++) {
      if (!unknown[i]) {
        sum += plane[i];
        count++;
      }
    }
    return (float) (count == 0 ? 128 : sum / count);
  }

  private static void relax(float[] plane, boolean[] unknown, int width, int height) {
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        int at = y * width + x;
        if (unknown[at]) {
          // Beyond the crop there is nothing: its edge is as the place beside it.
          float left = plane[x == 0 ? at : at - 1];
          float right = plane[x == width - 1 ? at : at + 1];
          float above = plane[y == 0 ? at : at - width];
          float below = plane[y == height - 1 ? at : at + width];
          plane[at] += RELAX * ((left + right + above + below) / 4 - plane[at]);
        }
      }
    }
  }
}
