package app.latethistle.core.look;

import app.latethistle.core.Refused;

/**
 * Where an upper layer lies on the picture.
 *
 * @param opacity in percent, 1 to 100
 * @param size its width in percent of the film's, 10 to 100
 * @param x where it stands: 0 at the left, 100 at the right, 50 in the middle
 * @param y 0 at the top, 100 at the bottom
 */
public record Lie(int opacity, int size, int x, int y) {
  /** Over the whole picture. */
  public static final Lie WHOLE = new Lie(100, 100, 50, 50);

  /**
   * @throws IllegalArgumentException if a value is out of its range
   */
  public Lie {
    within("opacity", opacity, 1);
    within("size", size, 10);
    within("place across", x, 0);
    within("place down", y, 0);
  }

  private static void within(String what, int value, int least) {
    if (value < least || value > 100) {
      throw new Refused(
          "The " + what + " is from " + least + " to 100 %, not " + Refused.number(value) + " %.");
    }
  }
}
