package app.latethistle.core.words;

import app.latethistle.core.Refused;
import app.latethistle.core.look.Shape;
import java.awt.geom.Rectangle2D;
import java.util.List;

/**
 * The part of a picture in which words are seen everywhere, by what is kept free at its sides, in
 * thousandths of the width and the height, and of zones inside.
 *
 * @param left 0 to 400, as the others
 * @param top of the picture
 * @param right of the picture
 * @param bottom of the picture
 * @param zones parts that are kept free too, eight at most
 */
public record SafeArea(int left, int top, int right, int bottom, List<Zone> zones) {
  private static final int MOST = 8;

  /** The graphics safe area of EBU R 95: 90 % of the width and the height. */
  private static final SafeArea WIDE = new SafeArea(50, 50, 50, 50);

  /**
   * In upright pictures also clear of what publishers lay over the lower and the right edge (common
   * practice, no source).
   */
  private static final SafeArea UPRIGHT = new SafeArea(50, 50, 120, 180);

  /**
   * Copies the zones; none may be null too.
   *
   * @throws IllegalArgumentException if a value is out of its range
   */
  public SafeArea {
    zones = zones == null ? List.of() : List.copyOf(zones);
    if (zones.size() > MOST) {
      throw new Refused(
          "Up to " + MOST + " parts of a picture are kept free, not " + zones.size() + ".");
    }
    for (int side : new int[] {left, top, right, bottom}) {
      if (side < 0 || side > 400) {
        throw new Refused(
            "0 to 40 % are kept free at a side of the picture, not " + side / 10.0 + ".");
      }
    }
  }

  /** What is kept free at the sides alone. */
  public SafeArea(int left, int top, int right, int bottom) {
    this(left, top, right, bottom, List.of());
  }

  /** Its zones in parts of the picture's sides. */
  public List<Rectangle2D> parts() {
    return zones.stream().map(Zone::part).toList();
  }

  /** That of a shape, where nobody says another. */
  public static SafeArea usual(Shape shape) {
    return shape.across() < shape.down() ? UPRIGHT : WIDE;
  }
}
