package app.latethistle.core.measure;

/**
 * How the picture as a whole moved from one frame to another: first turned and zoomed around its
 * middle, then shifted.
 *
 * @param right the shift to the right in widths; the picture moves right when the camera pans left
 * @param down the shift down in widths
 * @param zoom how much larger things became; 1 for not at all
 * @param turn clockwise, in degrees
 */
public record Travel(double right, double down, double zoom, double turn) {
  /** No movement. */
  public static final Travel NONE = new Travel(0, 0, 1, 0);

  /** This, followed by another. */
  public Travel then(Travel next) {
    double angle = Math.toRadians(next.turn);
    double c = next.zoom * Math.cos(angle);
    double s = next.zoom * Math.sin(angle);
    return new Travel(
        c * right - s * down + next.right,
        s * right + c * down + next.down,
        zoom * next.zoom,
        turn + next.turn);
  }

  /** The way back. */
  public Travel inverse() {
    double angle = Math.toRadians(-turn);
    double c = Math.cos(angle) / zoom;
    double s = Math.sin(angle) / zoom;
    return new Travel(-(c * right - s * down), -(s * right + c * down), 1 / zoom, -turn);
  }

  /**
   * How far a point moves, in widths.
   *
   * @param x right of the middle, in widths
   * @param y below the middle, in widths
   */
  double distanceAt(double x, double y) {
    double angle = Math.toRadians(turn);
    double c = zoom * Math.cos(angle);
    double s = zoom * Math.sin(angle);
    return Math.hypot(c * x - s * y + right - x, s * x + c * y + down - y);
  }

  /** How far the zoom moves the left and right edges, in widths. */
  public double zoomAtEdge() {
    return Math.abs(zoom - 1) / 2;
  }

  /** How far the turn moves the left and right edges, in widths. */
  public double turnAtEdge() {
    return Math.abs(Math.toRadians(turn)) / 2;
  }

  /** The greatest of its movements, in widths. */
  public double greatest() {
    return Math.max(
        Math.max(Math.abs(right), Math.abs(down)), Math.max(zoomAtEdge(), turnAtEdge()));
  }
}
