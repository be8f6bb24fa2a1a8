package app.latethistle.core.words;

/**
 * What lies between letters and picture.
 *
 * @param kind behind what it lies
 * @param opacity in percent, 0 to 100
 * @param colour red, green, blue in 24 bits
 */
public record Plate(Kind kind, int opacity, int colour) {
  public static final Plate NONE = new Plate(Kind.NONE, 0, 0);

  /** Behind what a plate lies. */
  public enum Kind {
    NONE,
    /** Behind all lines as one. */
    BLOCK,
    /** Behind each line by itself. */
    LINES,
    /** Over the whole width, darkening softly above and below. */
    BAND,
    /** Over the whole picture. */
    PICTURE
  }

  /**
   * @throws IllegalArgumentException if a value is out of its range
   */
  public Plate {
    Range.check("A plate's opacity", opacity, 0, 100, "%");
    Range.check("A colour", colour, 0, 0xffffff, "");
  }
}
