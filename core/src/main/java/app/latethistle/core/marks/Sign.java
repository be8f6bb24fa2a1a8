package app.latethistle.core.marks;

import app.latethistle.core.Refused;
import app.latethistle.core.words.Designs;
import app.latethistle.core.words.Lettering;

/**
 * What a channel signs its films with: words in a face, or a logotype that stands for them.
 *
 * @param text what it says: one line of 1 to 60 letters
 * @param face what it is set in
 */
public record Sign(String text, Lettering.Face face) {
  private static final int LONGEST = 60;

  /**
   * Takes blanks off the ends, and line ends out.
   *
   * @throws IllegalArgumentException if it says nothing
   */
  public Sign {
    text = text.strip().replaceAll("\\s+", " ");
    if (text.isEmpty() || text.length() > LONGEST) {
      throw new Refused("Write what the badge says, in up to " + LONGEST + " letters.");
    }
  }

  /** One in the face that badges usually have. */
  public static Sign of(String text) {
    return new Sign(text, Designs.BADGE.lettering().face());
  }
}
