package app.latethistle.core.take;

import java.awt.geom.Rectangle2D;

/**
 * A box in a picture, in parts of its width and height.
 *
 * @param left 0 to 1
 * @param top 0 to 1
 * @param right more than left, up to 1
 * @param bottom more than top, up to 1
 */
public record Box(double left, double top, double right, double bottom) {
  /** The area both share over the area of both, 0 to 1. */
  public double overlap(Box other) {
    double w = Math.min(right, other.right) - Math.max(left, other.left);
    double h = Math.min(bottom, other.bottom) - Math.max(top, other.top);
    double shared = Math.max(0, w) * Math.max(0, h);
    return shared / (area() + other.area() - shared);
  }

  /** The least box that holds both. */
  public Box around(Box other) {
    return new Box(
        Math.min(left, other.left),
        Math.min(top, other.top),
        Math.max(right, other.right),
        Math.max(bottom, other.bottom));
  }

  /** The same as a rectangle, in parts of the picture's sides. */
  public Rectangle2D part() {
    return new Rectangle2D.Double(left, top, right - left, bottom - top);
  }

  private double area() {
    return (right - left) * (bottom - top);
  }
}
