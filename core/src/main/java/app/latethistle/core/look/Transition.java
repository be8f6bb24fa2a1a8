package app.latethistle.core.look;

import app.latethistle.core.Refused;

/**
 * How one shot becomes the next.
 *
 * @param kind what is seen
 * @param span how long both shots are seen; none for a plain cut
 * @param lies what of it lies on the joint's moment
 * @param manner what else is said of it, as far as its kind takes it
 * @param holds whether a shot that has no picture left may stand still; else that is told
 */
public record Transition(
    TransitionKind kind, Span span, Lies lies, TransitionManner manner, boolean holds) {

  /** From one frame to the next. */
  public static final Transition CUT =
      new Transition(TransitionKind.CUT, Span.NONE, Lies.MIDDLE, TransitionManner.PLAIN, false);

  /** What of a transition lies on its joint's moment. */
  public enum Lies {
    /** Half of it comes before and half after. */
    MIDDLE,
    /** It begins there, so that the shot before ends late. */
    START,
    /** It is over there, so that the shot after begins early. */
    END
  }

  /**
   * @throws IllegalArgumentException if a cut has a length or anything else has none
   */
  public Transition {
    if (kind == TransitionKind.CUT && span.amount() != 0) {
      throw new Refused("A plain cut has no length; choose another transition.");
    }
    if (kind != TransitionKind.CUT && span.amount() == 0) {
      throw new Refused("A transition lasts a frame at least; for none choose a plain cut.");
    }
    manner = manner.asFarAs(kind);
  }

  /** A transition in its usual manner, its middle on the joint's moment. */
  public static Transition of(TransitionKind kind, Span span) {
    return kind == TransitionKind.CUT
        ? CUT
        : new Transition(kind, span, Lies.MIDDLE, kind.usual(), false);
  }

  /** Whether the shots share no frame. */
  public boolean isCut() {
    return kind == TransitionKind.CUT;
  }

  /** The same over another length. */
  public Transition withSpan(Span other) {
    return new Transition(kind, other, lies, manner, holds);
  }

  /** The same lying otherwise on the joint's moment. */
  public Transition lying(Lies other) {
    return new Transition(kind, span, other, manner, holds);
  }

  /** The same in another manner. */
  public Transition withManner(TransitionManner other) {
    return new Transition(kind, span, lies, other, holds);
  }

  /** The same that lets shots stand still where they have no picture left. */
  public Transition holding(boolean other) {
    return new Transition(kind, span, lies, manner, other);
  }
}
