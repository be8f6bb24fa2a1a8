package app.latethistle.core.sound;

import app.latethistle.core.Refused;
import java.util.List;

/**
 * Filters in a row.
 *
 * @param bands at most six
 */
public record Equaliser(List<Band> bands) {
  /** Lets all through. */
  public static final Equaliser NONE = new Equaliser(List.of());

  private static final int MOST = 6;

  /** What a band does. */
  public enum Kind {
    /** Takes away what is lower, 12 dB an octave. */
    LOW_CUT,
    /** Takes away what is higher, 12 dB an octave. */
    HIGH_CUT,
    /** Raises or lowers what is lower. */
    LOW_SHELF,
    /** Raises or lowers what is higher. */
    HIGH_SHELF,
    /** Raises or lowers what is near. */
    BELL
  }

  /**
   * One filter.
   *
   * @param hertz its corner or middle, 20 to 20,000
   * @param gain in decibels, -24 to 24; cuts have none
   * @param q how narrow it is, 0.1 to 10; 0.707 for a cut without a hump
   */
  public record Band(Kind kind, double hertz, double gain, double q) {
    /** The q of a filter of second order that is flat as far as it lets through (Butterworth). */
    public static final double FLAT = Math.sqrt(0.5);

    /**
     * @throws IllegalArgumentException if a value is out of its range
     */
    public Band {
      if (!(hertz >= 20 && hertz <= 20_000)) {
        throw new Refused(
            "A filter works at 20 to 20000 Hz, not at " + Refused.number(hertz) + " Hz.");
      }
      if (!(gain >= -24 && gain <= 24)) {
        throw new Refused(
            "A filter raises or lowers by up to 24 dB, not by " + Refused.number(gain) + ".");
      }
      if (!(q >= 0.1 && q <= 10)) {
        throw new Refused("A filter's Q is from 0.1 to 10, not " + Refused.number(q) + ".");
      }
    }

    /** A cut without a hump. */
    public static Band cut(Kind kind, double hertz) {
      return new Band(kind, hertz, 0, FLAT);
    }
  }

  /**
   * @throws IllegalArgumentException if there are too many bands
   */
  public Equaliser {
    bands = List.copyOf(bands);
    if (bands.size() > MOST) {
      throw new Refused("A sound has at most " + MOST + " filters, not " + bands.size() + ".");
    }
  }
}
