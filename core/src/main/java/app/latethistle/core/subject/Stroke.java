package app.latethistle.core.subject;

import app.latethistle.core.Refused;
import app.latethistle.core.look.Mask.Spot;
import java.util.List;

/**
 * What a person draws on a picture to say what the subject is.
 *
 * @param kind what it says
 * @param points two corners of a box; one or more places a brush went through, in order
 */
public record Stroke(Kind kind, List<Spot> points) {
  private static final int MOST_POINTS = 500;

  /** What a stroke says. */
  public enum Kind {
    /** A box: nothing outside it is the subject. */
    AROUND,
    /** What lies under the brush is the subject. */
    IN,
    /** What lies under the brush is not. */
    OUT
  }

  /**
   * Copies the list.
   *
   * @throws IllegalArgumentException if it has too few points, or too many
   */
  public Stroke {
    points = List.copyOf(points);
    if (kind == Kind.AROUND && points.size() != 2) {
      throw new Refused("A box about a subject is said by two corners.");
    }
    if (points.isEmpty() || points.size() > MOST_POINTS) {
      throw new Refused("A stroke has 1 to " + MOST_POINTS + " points.");
    }
  }

  /** A box in which all of the subject lies. */
  public static Stroke around(Spot one, Spot other) {
    return new Stroke(Kind.AROUND, List.of(one, other));
  }

  /** A brush stroke over the subject. */
  public static Stroke in(Spot... points) {
    return new Stroke(Kind.IN, List.of(points));
  }

  /** A brush stroke beside the subject. */
  public static Stroke out(Spot... points) {
    return new Stroke(Kind.OUT, List.of(points));
  }
}
