package app.latethistle.core.look;

import app.latethistle.core.Refused;

/**
 * A backing colour that is taken out of a picture, so that what stands before it can stand in
 * another.
 *
 * @param colour of the backing, as 0xRRGGBB (IEC 61966-2-1)
 * @param tolerance how much weaker than the backing's colour something may be and still be backing,
 *     in percent, 0 to 60
 * @param softness from how much of the backing's colour on something begins to be seen through, in
 *     percent, 0 to 80: more keeps things that have something of that colour themselves
 * @param spill how much of the backing's colour is taken out of what stays, in percent
 * @param shadow how much of the shadows on the backing is kept, in percent
 */
public record Key(int colour, int tolerance, int softness, int spill, int shadow) {
  public static final int MOST_TOLERANCE = 60;
  public static final int MOST_SOFTNESS = 80;
  private static final int WHITE = 0xffffff;

  /**
   * @throws IllegalArgumentException if a value is out of its range
   */
  public Key {
    if (colour < 0 || colour > WHITE) {
      throw new Refused("A colour is from #000000 to #ffffff.");
    }
    within("tolerance", tolerance, MOST_TOLERANCE);
    within("softness", softness, MOST_SOFTNESS);
    within("spill", spill, 100);
    within("shadow", shadow, 100);
  }

  /** A key as it usually serves; common practice, no source. */
  public static Key of(int colour) {
    return new Key(colour, /* tolerance= */ 15, /* softness= */ 20, /* spill= */ 100, 0);
  }

  /** The same for another colour. */
  public Key withColour(int other) {
    return new Key(other, tolerance, softness, spill, shadow);
  }

  private static void within(String what, int value, int most) {
    if (value < 0 || value > most) {
      throw new Refused(
          "A key's " + what + " is from 0 to " + most + " %, not " + Refused.number(value) + " %.");
    }
  }
}
