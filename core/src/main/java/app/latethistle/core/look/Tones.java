package app.latethistle.core.look;

import app.latethistle.core.Refused;

/**
 * What else a correction does to dark and light.
 *
 * @param pivot in percent of the signal, 5 to 95: what contrast leaves where it is
 * @param blacks in thousandths of the signal, -200 to 200: how far black is moved
 * @param whites in thousandths of the signal, -200 to 200: how far white is moved
 * @param shoulder in percent, 0 to 100: from how far under white light is bent softly
 * @param toe in percent, 0 to 100: up to how far over black dark is bent softly
 * @param vibrance in percent, -100 to 100: saturation of what has little
 * @param curves drawn by hand
 */
public record Tones(
    int pivot, int blacks, int whites, int shoulder, int toe, int vibrance, Curves curves) {
  /** Where a card that reflects 18 % lies in a BT.709 signal. */
  public static final int GREY = 41;

  private static final int MOST_MOVED = 200;

  /** The picture as it came. */
  public static final Tones NONE = new Tones(GREY, 0, 0, 0, 0, 0, Curves.NONE);

  /**
   * @throws IllegalArgumentException if one is out of its range, with a sentence that names it
   */
  public Tones {
    if (pivot < 5 || pivot > 95) {
      throw new Refused("The pivot lies between 5 and 95, not at " + pivot + ".");
    }
    Basics.within("Blacks", blacks, MOST_MOVED);
    Basics.within("Whites", whites, MOST_MOVED);
    Basics.within("Vibrance", vibrance, Basics.MOST);
    if (shoulder < 0 || shoulder > 100 || toe < 0 || toe > 100) {
      throw new Refused("Shoulder and toe go from 0 to 100.");
    }
  }

  /** The same with other curves. */
  public Tones withCurves(Curves other) {
    return new Tones(pivot, blacks, whites, shoulder, toe, vibrance, other);
  }
}
