package app.latethistle.core.picture;

/** Dust, scratches and a weave of the picture in its gate. */
final class OldFilm implements TreatmentPainter {
  /** Pictures a second for which a speck of dust stays: those of a projector. */
  private static final double SPECKS_A_SECOND = 18;

  /** How often a scratch comes to lie elsewhere. */
  private static final double SCRATCHES_A_SECOND = 2.5;

  private static final int SPECKS = 26;
  private static final int SCRATCHES = 4;
  private static final byte[] DARK = {30, (byte) 128, (byte) 128};
  private static final byte[] LIGHT = {(byte) 215, (byte) 128, (byte) 128};

  @Override
  public void draw(Frame from, Frame into, Setting setting) {
    long seed = setting.seed();
    int picture = (int) Math.floor(setting.seconds() * SPECKS_A_SECOND);
    double weave = setting.pixels(2, from);
    double right = (Noise.value(picture, 11, seed) - 0.5) * weave;
    double down = (2 * Noise.value(picture, 12, seed) - 1) * weave;
    Jolting.move(from, into, weave, right, down);
    double h = from.height();
    int specks = (int) Math.round(SPECKS * setting.share(0) * Noise.value(picture, 1, seed));
    for (int i = 0; i < specks; i++) {
      long own = seed + 31L * i;
      double size = h / 1080 * (1 + 5 * Math.pow(Noise.value(picture, 2, own), 3));
      new Spot(
              Noise.value(picture, 3, own) * from.width(),
              Noise.value(picture, 4, own) * h,
              size,
              size * (0.5 + 1.5 * Noise.value(picture, 5, own)),
              3 * Noise.value(picture, 6, own),
              true)
          .draw(into, Noise.value(picture, 7, own) < 0.7 ? DARK : LIGHT, 0.8);
    }
    for (int i = 0; i < SCRATCHES; i++) {
      double at = setting.seconds() * SCRATCHES_A_SECOND + i / (double) SCRATCHES;
      int turn = (int) Math.floor(at);
      if (Noise.value(turn, 20 + i, seed) < setting.share(1)) {
        double x = Noise.value(turn, 30 + i, seed) * from.width() + right;
        new Spot(x, h / 2, h / 1600, h, 0, false)
            .draw(into, Noise.value(turn, 40 + i, seed) < 0.6 ? LIGHT : DARK, 0.45);
      }
    }
  }
}
