package app.latethistle.core.picture;

/** A plane of half a picture's size each way, laid over the whole of it evenly. */
final class HalfPlane {
  private final float[] values;
  private final int width;
  private final int height;

  HalfPlane(float[] values, int width, int height) {
    this.values = values;
    this.width = width;
    this.height = height;
  }

  /** Fills a plane with the means of each four luma samples of a frame. */
  static void luma(Frame from, float[] into) {
    int width = from.width() / 2;
    for (int i = 0; i < into.length; i++) {
      int at = 2 * (i / width) * from.width() + 2 * (i % width);
      into[i] = Frame.meanOfFour(from.data(), at, from.width());
    }
  }

  /** The value at a luma sample: chroma samples lie in the middle of four of luma. */
  float at(int x, int y) {
    int column = x >> 1;
    int row = y >> 1;
    int beside = clamp(column + ((x & 1) == 0 ? -1 : 1), width);
    int under = clamp(row + ((y & 1) == 0 ? -1 : 1), height);
    float near = 0.75f * values[row * width + column] + 0.25f * values[row * width + beside];
    float far = 0.75f * values[under * width + column] + 0.25f * values[under * width + beside];
    return 0.75f * near + 0.25f * far;
  }

  /** The value of four luma samples, counted in rows. */
  float at(int i) {
    return values[i];
  }

  private static int clamp(int at, int count) {
    return Math.max(0, Math.min(count - 1, at));
  }
}
