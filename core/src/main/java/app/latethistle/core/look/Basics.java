package app.latethistle.core.look;

import app.latethistle.core.Refused;

/**
 * The five numbers of a correction; 0 leaves all as it is.
 *
 * @param exposure in hundredths of a stop, -400 to 400: light is doubled by 100
 * @param contrast -100 to 100: distances from the pivot are doubled by 100, halved by -100
 * @param warmth in mired, -100 to 100: how far the white that a neutral thing takes goes towards
 *     candle light
 * @param tint -100 to 100, in 1/2500 of CIE 1960 uv across the line of daylight: towards magenta,
 *     below 0 towards green
 * @param saturation in percent, -100 to 100: -100 is without colour, 100 doubles it
 */
public record Basics(int exposure, int contrast, int warmth, int tint, int saturation) {
  /** The furthest exposure goes, in hundredths of a stop. */
  public static final int MOST_EXPOSURE = 400;

  /** The furthest the others go. */
  public static final int MOST = 100;

  /** The picture as it came. */
  public static final Basics NONE = new Basics(0, 0, 0, 0, 0);

  /**
   * @throws IllegalArgumentException if one is out of its range, with a sentence that names it
   */
  public Basics {
    within("Exposure", exposure, MOST_EXPOSURE);
    within("Contrast", contrast, MOST);
    within("Warmth", warmth, MOST);
    within("Tint", tint, MOST);
    within("Saturation", saturation, MOST);
  }

  static void within(String name, int value, int most) {
    if (Math.abs(value) > most) {
      throw new Refused(name + " goes from -" + most + " to " + most + ", not " + value + ".");
    }
  }
}
