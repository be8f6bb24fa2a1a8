package app.latethistle.core.picture;

/**
 * A red glow round what is bright. What lies above a brightness is made soft and added as light of
 * one colour, as far as there is room, so that nothing clips.
 */
final class Halation implements TreatmentPainter {
  /** The colour of the light, red 1, green .35, blue .1: common practice, no source. */
  private static final float LUMA = 219 * 0.47f;

  private static final float CHROMA_BLUE = 224 * (0.1f - 0.47f) / 1.8556f;
  private static final float CHROMA_RED = 224 * (1 - 0.47f) / 1.5748f;

  /** What is small loses by softening: it is given back as much as a lamp of its size needs. */
  private static final float GIVEN_BACK = 2;

  private final int width;
  private final int height;
  private final Blurring blurring;

  Halation(int width, int height) {
    this.width = width / 2;
    this.height = height / 2;
    blurring = new Blurring(this.width, this.height);
  }

  @Override
  public void draw(Frame from, Frame into, Setting setting) {
    float amount = (float) setting.share(0);
    float least = (float) (Frame.BLACK + (Frame.WHITE - Frame.BLACK) * setting.share(2));
    byte[] a = from.data();
    byte[] b = into.data();
    int w = from.width();
    float[] bright = blurring.values();
    HalfPlane.luma(from, bright);
    for (int i = 0; i < bright.length; i++) {
      bright[i] = Math.max(0, bright[i] - least) / (Frame.WHITE - least + 1);
    }
    HalfPlane light = new HalfPlane(blurring.blurred(setting.pixels(1, from) / 2), width, height);
    for (int y = 0; y < from.height(); y++) {
      for (int x = 0; x < w; x++) {
        int value = a[y * w + x] & 0xff;
        b[y * w + x] = Softening.code(value + LUMA * added(light.at(x, y), amount, value));
      }
    }
    int cb = from.offset(1);
    int cr = from.offset(2);
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        int i = y * width + x;
        int luma = Frame.meanOfFour(a, 2 * y * w + 2 * x, w);
        float more = added(light.at(i), amount, luma);
        b[cb + i] = chroma((a[cb + i] & 0xff) + CHROMA_BLUE * more);
        b[cr + i] = chroma((a[cr + i] & 0xff) + CHROMA_RED * more);
      }
    }
  }

  private static float added(float light, float amount, int luma) {
    float room = Math.max(0, Frame.WHITE - luma) / (float) (Frame.WHITE - Frame.BLACK);
    return amount * Math.min(1, GIVEN_BACK * light) * room;
  }

  private static byte chroma(float value) {
    return (byte) Math.max(16, Math.min(240, Math.round(value)));
  }
}
