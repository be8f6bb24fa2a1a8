package app.latethistle.core.picture;

/**
 * What a soft filter before the lens makes: a soft picture lies over the sharp one, more of it
 * where it is the brighter one.
 */
final class Diffusion implements TreatmentPainter {
  /** Shares of the soft picture, where it is brighter, darker, of colour: common practice. */
  private static final float BRIGHTER = 0.75f;

  private static final float DARKER = 0.3f;
  private static final float COLOUR = 0.5f;

  private final int width;
  private final int height;
  private final Blurring blurring;

  Diffusion(int width, int height) {
    this.width = width / 2;
    this.height = height / 2;
    blurring = new Blurring(this.width, this.height);
  }

  @Override
  public void draw(Frame from, Frame into, Setting setting) {
    float amount = (float) setting.share(0);
    double sigma = setting.pixels(1, from) / 2;
    byte[] a = from.data();
    byte[] b = into.data();
    int w = from.width();
    HalfPlane.luma(from, blurring.values());
    HalfPlane soft = new HalfPlane(blurring.blurred(sigma), width, height);
    for (int y = 0; y < from.height(); y++) {
      for (int x = 0; x < w; x++) {
        int value = a[y * w + x] & 0xff;
        float off = soft.at(x, y) - value;
        b[y * w + x] = Softening.code(value + amount * (off > 0 ? BRIGHTER : DARKER) * off);
      }
    }
    for (int plane = 1; plane < 3; plane++) {
      int at = from.offset(plane);
      float[] colour = blurring.of(a, at, sigma);
      for (int i = 0; i < width * height; i++) {
        int value = a[at + i] & 0xff;
        b[at + i] = (byte) Math.round(value + amount * COLOUR * (colour[i] - value));
      }
    }
  }
}
