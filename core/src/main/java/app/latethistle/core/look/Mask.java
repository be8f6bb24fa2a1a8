package app.latethistle.core.look;

import app.latethistle.core.Refused;
import java.util.List;

/**
 * A part of a picture that stays, or that goes.
 *
 * @param kind what it is drawn as
 * @param points two corners of a rectangle, or of the rectangle about an ellipse; three or more of
 *     an outline
 * @param softness over which its edge fades, half of it on either side, in thousandths of the
 *     picture's height, 0 to 500
 * @param outside whether what lies outside it stays, and not what lies in it
 */
public record Mask(Kind kind, List<Spot> points, int softness, boolean outside) {
  private static final int MOST_POINTS = 100;
  private static final int MOST_SOFTNESS = 500;

  /** What a mask is drawn as. */
  public enum Kind {
    RECTANGLE,
    ELLIPSE,
    /** Straight lines from point to point and back to the first. */
    OUTLINE
  }

  /**
   * A place on the picture.
   *
   * @param x in thousandths of its width from the left, -1000 to 2000
   * @param y of its height from the top
   */
  public record Spot(int x, int y) {
    /**
     * @throws IllegalArgumentException if it lies farther off
     */
    public Spot {
      if (Math.min(x, y) < -1000 || Math.max(x, y) > 2000) {
        throw new Refused("A mask's points lie within a picture's size of the picture.");
      }
    }
  }

  /**
   * Copies the list.
   *
   * @throws IllegalArgumentException if a value is out of its range, or it has too few points
   */
  public Mask {
    points = List.copyOf(points);
    if (kind != Kind.OUTLINE && points.size() != 2) {
      throw new Refused("A rectangle and an ellipse are said by two corners.");
    }
    if (kind == Kind.OUTLINE && (points.size() < 3 || points.size() > MOST_POINTS)) {
      throw new Refused("An outline has 3 to " + MOST_POINTS + " points.");
    }
    if (softness < 0 || softness > MOST_SOFTNESS) {
      throw new Refused(
          "A mask's softness is from 0 to 50 % of the picture's height, not "
              + Refused.number(softness / 10.0)
              + " %.");
    }
  }

  /** A kind as it is if nothing is said of it: the middle of the picture. */
  public static Mask usual(Kind kind) {
    List<Spot> points =
        kind == Kind.OUTLINE
            ? List.of(
                new Spot(500, 200), new Spot(750, 500), new Spot(500, 800), new Spot(250, 500))
            : List.of(new Spot(250, 200), new Spot(750, 800));
    return new Mask(kind, points, /* softness= */ 20, false);
  }
}
