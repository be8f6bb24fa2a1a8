package app.latethistle.core.plan;

import java.util.List;

/**
 * What of a shot's pictures matters to the shots beside it.
 *
 * @param energy how much moves in it, 0 to 1 over the shots of the film; -1 if not known
 * @param right how far its picture moves to the right while it lasts, in widths
 * @param down how far down
 * @param zoom how much larger things become, as a natural logarithm
 * @param look what it looks like, as mean lumas and chromas of a few parts of the picture, 0 to
 *     255; empty if not known
 */
public record Traits(double energy, double right, double down, double zoom, List<Float> look) {
  /** Nothing is known. */
  public static final Traits NONE = new Traits(-1, 0, 0, 0, List.of());

  public Traits {
    look = List.copyOf(look);
  }

  /** Root mean square difference of looks, in codes, over which shots are not alike at all. */
  private static final double DIFFERENT = 36;

  /** Motion over less than this, in widths, is none. */
  private static final double STILL = 0.02;

  /** How alike two shots look, 0 to 1; 0 if one of them is not known. */
  double likeness(Traits other) {
    if (look.isEmpty() || look.size() != other.look.size()) {
      return 0;
    }
    double sum = 0;
    for (int i = 0; i < look.size(); i++) {
      double d = look.get(i) - other.look.get(i);
      sum += d * d;
    }
    return Math.max(0, 1 - Math.sqrt(sum / look.size()) / DIFFERENT);
  }

  /** How well motion goes on from this shot into another, -1 against to 1 along; 0 without any. */
  double carries(Traits next) {
    double here = Math.sqrt(right * right + down * down + zoom * zoom);
    double there =
        Math.sqrt(next.right * next.right + next.down * next.down + next.zoom * next.zoom);
    if (here < STILL || there < STILL) {
      return 0;
    }
    return (right * next.right + down * next.down + zoom * next.zoom) / (here * there);
  }
}
