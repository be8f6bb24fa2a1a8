package app.latethistle.core.words;

/**
 * A line round letters.
 *
 * @param width in thousandths of the letters' size, 0 to 200; half of it lies under the letter
 * @param colour red, green, blue in 24 bits
 */
public record Outline(int width, int colour) {
  public static final Outline NONE = new Outline(0, 0);

  /**
   * @throws IllegalArgumentException if a value is out of its range
   */
  public Outline {
    Range.check("An outline", width, 0, 200, "thousandths of the letters' size");
    Range.check("A colour", colour, 0, 0xffffff, "");
  }
}
