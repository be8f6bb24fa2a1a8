package app.latethistle.core.words;

/**
 * Where words stand on the picture.
 *
 * @param x the middle of their box, in thousandths of the picture's width, -500 to 1500
 * @param y of its height
 * @param width of the box, beyond which a line is broken, in thousandths of the picture's width, 50
 *     to 1500
 */
public record Box(int x, int y, int width) {
  /** In the middle, inside the safe area. */
  public static final Box MIDDLE = new Box(500, 500, 800);

  /**
   * @throws IllegalArgumentException if a value is out of its range
   */
  public Box {
    Range.check("A title's place across", x, -500, 1500, "thousandths of the picture's width");
    Range.check("A title's place down", y, -500, 1500, "thousandths of the picture's height");
    Range.check("A title's width", width, 50, 1500, "thousandths of the picture's width");
  }

  /** The same elsewhere. */
  public Box at(int otherX, int otherY) {
    return new Box(otherX, otherY, width);
  }
}
