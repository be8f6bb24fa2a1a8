package app.latethistle.core.film;

import app.latethistle.core.Refused;

/**
 * What a placement shows: a take of a shot, from one of its frames on.
 *
 * @param shot the shot's id in the production; "" for a gap
 * @param take the take's id; "" for a gap
 * @param in the first of the take's frames that the run uses, at the film's rate
 * @param run how the take runs
 */
public record Material(String shot, String take, long in, Run run) {
  /** Black. */
  static final Material NONE = new Material("", "", 0, Run.PLAIN);

  /**
   * @throws IllegalArgumentException if the first used frame is negative
   */
  public Material {
    check(in);
  }

  /** Another take of the shot, or another part of it. */
  Material withSource(Source source) {
    return new Material(shot, source.take(), source.in(), run);
  }

  Material withRun(Run newRun) {
    return new Material(shot, take, in, newRun);
  }

  /** The take and the part of it that are shown. */
  Source source() {
    return new Source(take, in);
  }

  /**
   * A part of a take.
   *
   * @param in the first of its frames that is used
   */
  public record Source(String take, long in) {
    /**
     * @throws IllegalArgumentException if the first used frame is negative
     */
    public Source {
      check(in);
    }
  }

  private static void check(long in) {
    if (in < 0) {
      throw new Refused("A take starts at frame 0; frame " + in + " is before it.");
    }
  }
}
