package app.latethistle.core.look;

import app.latethistle.core.Refused;

/**
 * A length that is said in one of three units, and becomes frames where it stands in the film.
 *
 * @param amount 0 for none
 */
public record Span(long amount, Unit unit) {
  /** No length. */
  public static final Span NONE = new Span(0, Unit.FRAMES);

  /** The longest there is, in seconds; longer ones are shots of their own. */
  public static final int LONGEST_SECONDS = 10;

  private static final int SLOWEST_RATE = 120;

  /** What a length is counted in. */
  public enum Unit {
    /** Frames of the film. */
    FRAMES(SLOWEST_RATE * LONGEST_SECONDS),
    /** Quarters of a beat of the song. */
    QUARTER_BEATS(4 * 32),
    /** Thousandths of a second. */
    MILLISECONDS(1000 * LONGEST_SECONDS);

    private final int most;

    Unit(int most) {
      this.most = most;
    }
  }

  /**
   * @throws IllegalArgumentException if it is negative or longer than a transition may be
   */
  public Span {
    if (amount < 0 || amount > unit.most) {
      throw new Refused(
          "A transition lasts up to "
              + (unit == Unit.QUARTER_BEATS ? "32 beats" : LONGEST_SECONDS + " seconds")
              + "; "
              + Refused.number((double) amount)
              + switch (unit) {
                case FRAMES -> " frames are";
                case QUARTER_BEATS -> " quarters of a beat are";
                case MILLISECONDS -> " thousandths of a second are";
              }
              + " not possible.");
    }
  }

  /** So many frames. */
  public static Span frames(long frames) {
    return new Span(frames, Unit.FRAMES);
  }

  /** So many quarters of a beat. */
  public static Span quarterBeats(long quarters) {
    return new Span(quarters, Unit.QUARTER_BEATS);
  }

  /** So many thousandths of a second. */
  public static Span milliseconds(long milliseconds) {
    return new Span(milliseconds, Unit.MILLISECONDS);
  }
}
