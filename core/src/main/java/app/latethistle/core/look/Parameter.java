package app.latethistle.core.look;

import app.latethistle.core.Refused;

/**
 * One of the values that say how a treatment is done.
 *
 * @param name in lower case, as a person reads it
 * @param least inclusive
 * @param most inclusive
 * @param usual if nothing is said
 */
public record Parameter(String name, int least, int most, int usual, Unit unit) {

  /** What a parameter is counted in. */
  public enum Unit {
    PERCENT,
    /** Thousandths of the picture's height, so that it looks the same at every size. */
    HEIGHT,
    /** Ten-thousandths of the picture's height. */
    TENTHS_OF_HEIGHT,
    DEGREES,
    /** Tenths of once a second. */
    TENTHS_A_SECOND,
    COUNT,
    /** Hundredths of one. */
    HUNDREDTHS
  }

  void check(int value) {
    if (value < least || value > most) {
      throw new Refused(
          "\""
              + name
              + "\" is from "
              + least
              + " to "
              + most
              + ", not "
              + Refused.number(value)
              + ".");
    }
  }
}
