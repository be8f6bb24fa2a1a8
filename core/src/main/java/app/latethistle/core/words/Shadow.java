package app.latethistle.core.words;

/**
 * What letters throw on the picture: a shadow, or a glow if it is not away from them.
 *
 * @param away to the right and down, in thousandths of the letters' size, 0 to 300
 * @param softness in thousandths of the letters' size, 0 to 500
 * @param opacity in percent, 0 to 100
 * @param colour red, green, blue in 24 bits
 */
public record Shadow(int away, int softness, int opacity, int colour) {
  public static final Shadow NONE = new Shadow(0, 0, 0, 0);

  /** A soft dark one, as a remedy for a picture that is too light behind the letters. */
  public static final Shadow SOFT = new Shadow(20, 120, 80, 0);

  /**
   * @throws IllegalArgumentException if a value is out of its range
   */
  public Shadow {
    Range.check("A shadow's distance", away, 0, 300, "thousandths of the letters' size");
    Range.check("A shadow's softness", softness, 0, 500, "thousandths of the letters' size");
    Range.check("A shadow's opacity", opacity, 0, 100, "%");
    Range.check("A colour", colour, 0, 0xffffff, "");
  }
}
