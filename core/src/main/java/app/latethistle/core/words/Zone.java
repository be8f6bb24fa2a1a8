package app.latethistle.core.words;

import app.latethistle.core.Refused;
import java.awt.geom.Rectangle2D;

/**
 * A part of a picture over which its publisher lays things, such as a column of buttons; in
 * thousandths of the width and the height.
 *
 * @param left 0 to 980
 * @param top 0 to 980
 * @param right more than left by 20 at least, up to 1000
 * @param bottom more than top by 20 at least, up to 1000
 */
public record Zone(int left, int top, int right, int bottom) {
  private static final int LEAST = 20;
  private static final int WHOLE = 1000;

  /**
   * @throws IllegalArgumentException if it is no part of the picture
   */
  public Zone {
    boolean inside = left >= 0 && top >= 0 && right <= WHOLE && bottom <= WHOLE;
    if (!inside || right - left < LEAST || bottom - top < LEAST) {
      throw new Refused(
          "A part that is kept free lies in the picture and takes up a fiftieth of its width and"
              + " height at least.");
    }
  }

  /** In parts of the picture's sides. */
  public Rectangle2D part() {
    return new Rectangle2D.Double(
        left / (double) WHOLE,
        top / (double) WHOLE,
        (right - left) / (double) WHOLE,
        (bottom - top) / (double) WHOLE);
  }
}
