package app.latethistle.core.picture;

/**
 * Takes noise out and keeps edges: the guided filter with the picture as its own guide (He, Sun and
 * Tang 2010, "Guided Image Filtering"). Where the picture varies less than the noise, it becomes
 * its local mean; where it varies more, it stays.
 */
final class Denoise implements TreatmentPainter {
  /** The side of the squares over which is asked how much the picture varies: 2 r + 1. */
  private static final int REACH = 2;

  /** What varies less than this is noise at full amount, in codes: two standard deviations. */
  private static final double MOST = 24;

  private final Blurring luma;
  private final Blurring chroma;
  private final float[] mean;
  private final float[] gain;

  Denoise(int width, int height) {
    luma = new Blurring(width, height);
    chroma = new Blurring(width / 2, height / 2);
    mean = new float[width * height];
    gain = new float[width * height];
  }

  @Override
  public void draw(Frame from, Frame into, Setting setting) {
    double noise = MOST * setting.share(0);
    if (noise == 0) {
      into.copy(from);
      return;
    }
    for (int plane = 0; plane < 3; plane++) {
      draw(from.data(), into.data(), from.offset(plane), plane == 0 ? luma : chroma, noise * noise);
    }
  }

  private void draw(byte[] from, byte[] into, int offset, Blurring over, double noise) {
    float least = (float) noise;
    float[] work = over.values();
    int n = work.length;
    for (int i = 0; i < n; i++) {
      work[i] = from[offset + i] & 0xff;
    }
    System.arraycopy(over.means(REACH), 0, mean, 0, n);
    for (int i = 0; i < n; i++) {
      float value = from[offset + i] & 0xff;
      work[i] = value * value;
    }
    over.means(REACH);
    for (int i = 0; i < n; i++) {
      float variance = Math.max(0, work[i] - mean[i] * mean[i]);
      work[i] = variance / (variance + least);
      mean[i] *= 1 - work[i];
    }
    // Each sample lies in many squares; what it becomes is the mean of what they say.
    System.arraycopy(over.means(REACH), 0, gain, 0, n);
    System.arraycopy(mean, 0, work, 0, n);
    float[] level = over.means(REACH);
    for (int i = 0; i < n; i++) {
      into[offset + i] = Softening.code(gain[i] * (from[offset + i] & 0xff) + level[i]);
    }
  }
}
