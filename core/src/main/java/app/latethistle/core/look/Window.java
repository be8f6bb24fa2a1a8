package app.latethistle.core.look;

import app.latethistle.core.take.PictureShape;

/**
 * A window on a take, in square pixels as high as the take's: its middle, its sides, and how it is
 * turned.
 *
 * @param x of its middle, from the take's left edge
 * @param y from its top
 * @param width more than 0
 * @param height more than 0
 * @param turn clockwise, in radians
 */
public record Window(double x, double y, double width, double height, double turn) {

  /**
   * The window of a view on a take, for a film of an aspect; it may reach over the take's edges.
   */
  static Window of(View view, PictureShape clip, double filmAspect) {
    double across = clip.width() * clip.pixelAspect();
    double down = clip.height();
    double wider = across / down / filmAspect;
    double enlarged = view.size() / 1000.0;
    return new Window(
        across * (0.5 + view.right() / 10_000.0),
        down * (0.5 + view.down() / 10_000.0),
        (wider > 1 ? across / wider : across) / enlarged,
        (wider > 1 ? down : down * wider) / enlarged,
        Math.toRadians(view.turn() / 100.0));
  }

  /**
   * Some of the way from this to another one; edges move evenly, so a point that both keep stays.
   */
  Window towards(Window other, double share) {
    return new Window(
        x + (other.x - x) * share,
        y + (other.y - y) * share,
        width + (other.width - width) * share,
        height + (other.height - height) * share,
        turn + (other.turn - turn) * share);
  }

  /** The width of the upright rectangle around it. */
  public double reachAcross() {
    return Math.abs(width * Math.cos(turn)) + Math.abs(height * Math.sin(turn));
  }

  /** The height of the upright rectangle around it. */
  public double reachDown() {
    return Math.abs(width * Math.sin(turn)) + Math.abs(height * Math.cos(turn));
  }

  /**
   * The nearest window inside the take: as much smaller as it has to be to fit when turned, then
   * moved in.
   */
  Window within(PictureShape clip) {
    double across = clip.width() * clip.pixelAspect();
    double down = clip.height();
    double over = Math.max(1, Math.max(reachAcross() / across, reachDown() / down));
    Window fitting = new Window(x, y, width / over, height / over, turn);
    double halfAcross = fitting.reachAcross() / 2;
    double halfDown = fitting.reachDown() / 2;
    return new Window(
        Math.max(halfAcross, Math.min(across - halfAcross, x)),
        Math.max(halfDown, Math.min(down - halfDown, y)),
        fitting.width,
        fitting.height,
        turn);
  }
}
