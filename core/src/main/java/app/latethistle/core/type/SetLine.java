package app.latethistle.core.type;

import java.awt.geom.Rectangle2D;

/**
 * A line where it stands on the picture.
 *
 * @param shaped its letters
 * @param x of its left end, in pixels
 * @param y of its base line
 * @param size of its letters, in pixels
 */
record SetLine(ShapedLine shaped, double x, double y, double size) {
  /**
   * How far letters reach above the base line and below it, as shares of their size (no source).
   */
  static final double ABOVE = 0.8;

  static final double BELOW = 0.24;

  /** What it takes up. */
  Rectangle2D box() {
    return new Rectangle2D.Double(x, y - ABOVE * size, shaped.width(), (ABOVE + BELOW) * size);
  }

  /** The same so much lower, in pixels. */
  SetLine lower(double by) {
    return moved(0, by);
  }

  /** The same so much farther right and lower, in pixels. */
  SetLine moved(double right, double down) {
    return new SetLine(shaped, x + right, y + down, size);
  }
}
