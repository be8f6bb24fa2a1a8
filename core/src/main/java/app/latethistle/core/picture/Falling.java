package app.latethistle.core.picture;

import app.latethistle.core.look.TreatmentKind;

/**
 * Snow, scraps of paper or sparks before the picture. Each has a way of its own that hangs on the
 * seed; when it has gone through the picture it begins again elsewhere.
 */
final class Falling implements TreatmentPainter {
  /** Things at full amount: common practice, no source. */
  private static final int MOST = 420;

  private static final byte[] WHITE = {(byte) 228, (byte) 128, (byte) 128};

  private final TreatmentKind kind;

  Falling(TreatmentKind kind) {
    this.kind = kind;
  }

  @Override
  public void draw(Frame from, Frame into, Setting setting) {
    into.copy(from);
    int count = (int) Math.round(MOST * setting.share(0) * (kind == TreatmentKind.PAPER ? 0.4 : 1));
    for (int i = 0; i < count; i++) {
      draw(into, setting, i);
    }
  }

  private void draw(Frame into, Setting setting, int i) {
    long seed = setting.seed();
    double near = 0.35 + 0.65 * Noise.value(i, 1, seed);
    double pace = near * (0.7 + 0.6 * Noise.value(i, 2, seed)) * fall();
    double way = Noise.value(i, 3, seed) * 1.2 + setting.seconds() * pace / 1.2;
    int round = (int) Math.floor(way);
    double gone = (way - round) * 1.2 - 0.1;
    double wide = (double) into.width() / into.height();
    double sway = 0.03 * Math.sin(setting.seconds() * (1 + near) + i) * near;
    double drift = setting.share(2) * gone * near;
    double start = Noise.value(i, 100 + round, seed) * (wide + 1) - 0.5;
    double x = (start + drift + sway) * into.height();
    double y = (kind == TreatmentKind.EMBERS ? 1 - gone : gone) * into.height();
    double size = setting.pixels(1, into) * near / 2;
    switch (kind) {
      case SNOW -> new Spot(x, y, size, size, 0, true).draw(into, WHITE, 0.5 + 0.4 * near);
      case PAPER -> {
        double tumble = setting.seconds() * (1.5 + 2 * Noise.value(i, 4, seed)) + i;
        double facing = Math.abs(Math.cos(1.7 * tumble)) * 0.85 + 0.15;
        byte[] colour = {(byte) (150 + 75 * facing), (byte) 122, (byte) 131};
        new Spot(x, y, size, size * 0.7 * facing, tumble, false).draw(into, colour, 0.95);
      }
      default -> {
        double life = Math.max(0, Math.sin(Math.PI * Math.max(0, Math.min(1, gone))));
        double blink = 0.6 + 0.4 * Noise.smooth(setting.seconds() * 9, i, seed);
        byte[] colour = Hue.yuv(18 + 22 * near, 0.65 + 0.25 * near, 0.4);
        new Spot(x, y, 3 * size, 3 * size, 0, true).draw(into, colour, 0.3 * life * blink);
        new Spot(x, y, size, size, 0, true).draw(into, colour, life * blink);
      }
    }
  }

  /** Heights of the picture a second, for what is nearest. */
  private double fall() {
    return switch (kind) {
      case SNOW -> 0.16;
      case PAPER -> 0.24;
      default -> 0.20;
    };
  }
}
