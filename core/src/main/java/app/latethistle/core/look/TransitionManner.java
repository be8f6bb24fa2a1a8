package app.latethistle.core.look;

import app.latethistle.core.Refused;

/**
 * What is said of a transition beside its kind and length.
 *
 * @param angle where it goes to, in degrees, 0 to 359: 0 to the right, 90 down, 180 to the left
 * @param softness of its edge, in percent of the way it goes, 0 for a hard one to 100
 * @param colour through which it goes, as 0xRRGGBB (IEC 61966-2-1)
 * @param pattern which part comes first
 * @param picture SHA-256 of the file of a still that says so instead, what is dark in it first; ""
 *     for none
 */
public record TransitionManner(
    int angle, int softness, int colour, LumaPattern pattern, String picture) {
  public static final int BLACK = 0x000000;
  public static final int WHITE = 0xffffff;

  /** To the left, hard, through black. */
  public static final TransitionManner PLAIN =
      new TransitionManner(180, 0, BLACK, LumaPattern.CLOUDS);

  private static final int STEP = 45;

  /** Under 10 % of full light. */
  private static final int DARK = 26;

  /** One by no picture. */
  public TransitionManner(int angle, int softness, int colour, LumaPattern pattern) {
    this(angle, softness, colour, pattern, "");
  }

  /**
   * @throws IllegalArgumentException if a value is out of its range
   */
  public TransitionManner {
    if (angle < 0 || angle > 359) {
      throw new Refused(
          "A transition's direction is from 0 to 359 degrees, not " + Refused.number(angle) + ".");
    }
    if (softness < 0 || softness > 100) {
      throw new Refused(
          "An edge's softness is from 0 to 100 %, not " + Refused.number(softness) + " %.");
    }
    if (colour < 0 || colour > WHITE) {
      throw new Refused("A colour is from #000000 to #ffffff.");
    }
  }

  /** Whether its colour is so dark that a picture of it is as good as black. */
  public boolean isDark() {
    return ((colour >> 16 & 0xff) + (colour >> 8 & 0xff) + (colour & 0xff)) / 3 < DARK;
  }

  /** The same in another direction. */
  public TransitionManner withAngle(int other) {
    return new TransitionManner(other, softness, colour, pattern, picture);
  }

  /** The same with another edge. */
  public TransitionManner withSoftness(int other) {
    return new TransitionManner(angle, other, colour, pattern, picture);
  }

  /** The same through another colour. */
  public TransitionManner withColour(int other) {
    return new TransitionManner(angle, softness, other, pattern, picture);
  }

  /** The same by another pattern. */
  public TransitionManner withPattern(LumaPattern other) {
    return new TransitionManner(angle, softness, colour, other);
  }

  /** The same by a still, or by none. */
  public TransitionManner withPicture(String other) {
    return new TransitionManner(angle, softness, colour, pattern, other);
  }

  /** Only what a kind takes, the rest as usual; directions to the nearest of eight. */
  TransitionManner asFarAs(TransitionKind kind) {
    boolean turns = kind.takes(TransitionKind.Part.ANGLE);
    boolean steps = kind.takes(TransitionKind.Part.DIRECTION);
    int nearest = Math.round((float) angle / STEP) * STEP % 360;
    return new TransitionManner(
        turns ? angle : steps ? nearest : PLAIN.angle,
        kind.takes(TransitionKind.Part.SOFTNESS) ? softness : PLAIN.softness,
        kind.takes(TransitionKind.Part.COLOUR) ? colour : PLAIN.colour,
        kind.takes(TransitionKind.Part.PATTERN) ? pattern : PLAIN.pattern,
        kind.takes(TransitionKind.Part.PATTERN) ? picture : PLAIN.picture);
  }
}
