package app.latethistle.core.words;

import app.latethistle.core.Refused;
import app.latethistle.core.look.Shape;

/**
 * The part of a picture in which words are seen everywhere, by what is kept free at its sides, in
 * thousandths of the width and the height.
 *
 * @param left 0 to 400, as the others
 * @param top of the picture
 * @param right of the picture
 * @param bottom of the picture
 */
public record SafeArea(int left, int top, int right, int bottom) {
  /** The graphics safe area of EBU R 95: 90 % of the width and the height. */
  private static final SafeArea WIDE = new SafeArea(50, 50, 50, 50);

  /**
   * In upright pictures also clear of what publishers lay over the lower and the right edge (common
   * practice, no source).
   */
  private static final SafeArea UPRIGHT = new SafeArea(50, 50, 120, 180);

  /**
   * @throws IllegalArgumentException if a value is out of its range
   */
  public SafeArea {
    for (int side : new int[] {left, top, right, bottom}) {
      if (side < 0 || side > 400) {
        throw new Refused(
            "0 to 40 % are kept free at a side of the picture, not " + side / 10.0 + ".");
      }
    }
  }

  /** That of a shape, where nobody says another. */
  public static SafeArea usual(Shape shape) {
    return shape.across() < shape.down() ? UPRIGHT : WIDE;
  }
}
