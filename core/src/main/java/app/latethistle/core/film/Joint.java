package app.latethistle.core.film;

import app.latethistle.core.look.Transition;

/**
 * The film's start, a cut, or its end.
 *
 * @param tie the moment it is bound to, which is the transition's middle
 * @param transition how the shot before becomes the one after
 */
public record Joint(Tie tie, Transition transition) {
  /**
   * @throws IllegalArgumentException if it is tied as only sounds are
   */
  public Joint {
    Tie.ofClock(tie);
  }

  /** A plain cut. */
  public static Joint of(Tie tie) {
    return new Joint(tie, Transition.CUT);
  }

  /** The film's start. */
  public static final Joint START = of(Tie.free(0));

  Joint withTie(Tie other) {
    return new Joint(other, transition);
  }

  Joint withTransition(Transition other) {
    return new Joint(tie, other);
  }
}
