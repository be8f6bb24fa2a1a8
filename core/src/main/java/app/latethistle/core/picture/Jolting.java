package app.latethistle.core.picture;

import app.latethistle.core.look.TreatmentKind;

/**
 * Moves and enlarges the picture within itself: a shake, a weave, a pulse. It is enlarged as much
 * as its travel asks for, so no edge is ever bare; places lie between samples as they fall.
 */
final class Jolting implements TreatmentPainter {
  private final TreatmentKind kind;

  Jolting(TreatmentKind kind) {
    this.kind = kind;
  }

  @Override
  public void draw(Frame from, Frame into, Setting setting) {
    if (kind == TreatmentKind.PULSE) {
      draw(from, into, 1 + setting.share(0), 0, 0);
    } else {
      double most = setting.pixels(0, from);
      double at = setting.seconds() * setting.perSecond(1);
      move(
          from,
          into,
          most,
          Noise.course(at, 0, setting.seed()) * most,
          Noise.course(at, 1, setting.seed()) * most);
    }
  }

  /**
   * Draws the picture moved.
   *
   * @param most how far it may be moved, in pixels, to any side
   * @param right at most that far
   * @param down at most that far
   */
  static void move(Frame from, Frame into, double most, double right, double down) {
    double enlarged = 1 / (1 - 2 * most / from.height());
    draw(from, into, enlarged, right, down);
  }

  private static void draw(Frame from, Frame into, double enlarged, double right, double down) {
    if (enlarged == 1) {
      into.copy(from);
      return;
    }
    double w = from.width() / enlarged;
    double h = from.height() / enlarged;
    Region seen = new Region((from.width() - w) / 2 + right, (from.height() - h) / 2 + down, w, h);
    new FrameScaler(seen, from.width(), from.height(), from.width(), from.height())
        .draw(from, into);
  }
}
