package app.latethistle.core.measure;

/** A grey picture as numbers, row by row, 0 to 255. */
final class Gray {
  final int width;
  final int height;
  final float[] data;

  Gray(int width, int height, float[] data) {
    this.width = width;
    this.height = height;
    this.data = data;
  }

  static Gray of(int width, int height, byte[] plane) {
    float[] data = new float[width * height];
    for (int i = 0; i < data.length; i++) {
      data[i] = plane[i] & 0xff;
    }
    return new Gray(width, height, data);
  }

  /** Half the size, each pixel the mean of four. */
  Gray half() {
    int w = width / 2;
    int h = height / 2;
    float[] out = new float[w * h];
    for (int y = 0; y < h; y++) {
      int a = 2 * y * width;
      int b = a + width;
      for (int x = 0; x < w; x++) {
        out[y * w + x] =
            0.25f * (data[a + 2 * x] + data[a + 2 * x + 1] + data[b + 2 * x] + data[b + 2 * x + 1]);
      }
    }
    return new Gray(w, h, out);
  }

  /** A little blurred (1 2 1 both ways), so that noise of the encoder weighs less. */
  Gray smooth() {
    float[] across = new float[data.length];
    for (int y = 0; y < height; y++) {
      int row = y * width;
      for (int x = 0; x < width; x++) {
        float l = data[row + Math.max(0, x - 1)];
        float r = data[row + Math.min(width - 1, x + 1)];
        across[row + x] = 0.25f * l + 0.5f * data[row + x] + 0.25f * r;
      }
    }
    float[] out = new float[data.length];
    for (int y = 0; y < height; y++) {
      int up = Math.max(0, y - 1) * width;
      int down = Math.min(height - 1, y + 1) * width;
      for (int x = 0; x < width; x++) {
        out[y * width + x] =
            0.25f * across[up + x] + 0.5f * across[y * width + x] + 0.25f * across[down + x];
      }
    }
    return new Gray(width, height, out);
  }

  double mean() {
    double sum = 0;
    for (float v : data) {
      sum += v;
    }
    return sum / data.length;
  }

  /** The mean absolute difference to another of the same size. */
  double difference(Gray other) {
    double sum = 0;
    for (int i = 0; i < data.length; i++) {
      sum += Math.abs(data[i] - other.data[i]);
    }
    return sum / data.length;
  }

  /**
   * The mean absolute difference to another of the same size, when that is made as bright and as
   * rich in contrast as this.
   */
  double differenceInShape(Gray other) {
    double mine = mean();
    double its = other.mean();
    double cross = 0;
    double square = 0;
    for (int i = 0; i < data.length; i++) {
      double b = other.data[i] - its;
      cross += (data[i] - mine) * b;
      square += b * b;
    }
    double gain = square < 1e-6 ? 1 : Math.max(0.5, Math.min(2, cross / square));
    double sum = 0;
    for (int i = 0; i < data.length; i++) {
      sum += Math.abs(data[i] - mine - gain * (other.data[i] - its));
    }
    return sum / data.length;
  }
}
