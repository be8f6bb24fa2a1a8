package app.latethistle.core.look;

import app.latethistle.core.Refused;

/**
 * Colours that are corrected by themselves: those of a hue, a strength and a brightness, softly, in
 * a part of the picture.
 *
 * @param hue in degrees of Oklab, 0 to 359: the middle of what is meant
 * @param width in degrees, 0 to 180: how far to either side; 180 is every hue, grey too
 * @param weakest chroma in thousandths of Oklab, 0 to 400: what has less is left
 * @param strongest likewise, not below {@code weakest}: what has more is left
 * @param darkest lightness in percent of Oklab, 0 to 100: what is darker is left
 * @param lightest likewise, not below {@code darkest}: what is lighter is left
 * @param softness in percent, 0 to 100: how gently it begins and ends
 * @param where the part of the picture in which they are meant
 * @param basics what is done to it
 */
public record ColourRange(
    int hue,
    int width,
    int weakest,
    int strongest,
    int darkest,
    int lightest,
    int softness,
    PicturePart where,
    Basics basics) {
  /** The strongest chroma that is told apart, in thousandths: more than BT.709 has. */
  public static final int MOST_CHROMA = 400;

  /** All colours of a part of the picture, by other numbers. */
  public static ColourRange ofAll(PicturePart where, Basics basics) {
    return new ColourRange(0, 180, 0, MOST_CHROMA, 0, 100, 0, where, basics);
  }

  /**
   * @throws IllegalArgumentException if one is out of its range, with a sentence that names it
   */
  public ColourRange {
    within("A range's hue", hue, 0, 359);
    within("A range's width", width, 0, 180);
    within("A range's weakest colour", weakest, 0, MOST_CHROMA);
    within("A range's strongest colour", strongest, weakest, MOST_CHROMA);
    within("A range's darkest tone", darkest, 0, 100);
    within("A range's lightest tone", lightest, darkest, 100);
    within("A range's softness", softness, 0, 100);
  }

  private static void within(String what, int value, int least, int most) {
    if (value < least || value > most) {
      throw new Refused(what + " is from " + least + " to " + most + ", not " + value + ".");
    }
  }

  /** The same with other numbers. */
  public ColourRange withBasics(Basics other) {
    return new ColourRange(
        hue, width, weakest, strongest, darkest, lightest, softness, where, other);
  }

  /** The same in another part of the picture. */
  public ColourRange in(PicturePart other) {
    return new ColourRange(
        hue, width, weakest, strongest, darkest, lightest, softness, other, basics);
  }
}
