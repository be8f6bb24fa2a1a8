package app.latethistle.core.type;

import app.latethistle.core.look.Shape;
import java.awt.geom.Rectangle2D;

/**
 * The part of a picture in which words are seen everywhere: the graphics safe area of EBU R 95, 90
 * % of its width and height; in upright pictures also clear of what publishers lay over the lower
 * and the right edge (18 % and 12 %, common practice, no source).
 *
 * @param left share of the width
 * @param top share of the height
 * @param right share of the width
 * @param bottom share of the height
 */
public record SafeArea(double left, double top, double right, double bottom) {
  private static final SafeArea WIDE = new SafeArea(0.05, 0.05, 0.95, 0.95);
  private static final SafeArea UPRIGHT = new SafeArea(0.05, 0.05, 0.88, 0.82);

  /** That of a shape. */
  public static SafeArea of(Shape shape) {
    return shape.across() < shape.down() ? UPRIGHT : WIDE;
  }

  /**
   * How far something lies outside, at its worst side.
   *
   * @param box in pixels
   * @return in pixels; 0 if it lies inside
   */
  public double outside(Rectangle2D box, int width, int height) {
    double out = Math.max(left * width - box.getMinX(), box.getMaxX() - right * width);
    out = Math.max(out, Math.max(top * height - box.getMinY(), box.getMaxY() - bottom * height));
    return Math.max(0, out);
  }
}
