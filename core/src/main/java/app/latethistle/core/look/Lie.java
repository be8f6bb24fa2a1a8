package app.latethistle.core.look;

import app.latethistle.core.Refused;

/**
 * Where an upper layer lies on the picture at a moment. It may lie in part or whole beside it.
 *
 * @param opacity in percent, 0 to 100
 * @param size of it in thousandths of what covers the film's picture, 10 to 8000
 * @param x where its middle is, in thousandths of the film's width from the left, -2000 to 3000
 * @param y of its height, from the top
 * @param turn clockwise, in hundredths of a degree, -72000 to 72000
 */
public record Lie(int opacity, int size, int x, int y, int turn) {
  public static final int LEAST_SIZE = 10;
  public static final int MOST_SIZE = 8000;

  /** Over the whole picture. */
  public static final Lie WHOLE = new Lie(100, 1000, 500, 500, 0);

  private static final int NEAREST = -2000;
  private static final int FARTHEST = 3000;
  private static final int TWO_TURNS = 72_000;

  /**
   * @throws IllegalArgumentException if a value is out of its range
   */
  public Lie {
    within("An opacity", "%", opacity, 0, 100, 1);
    within("A size", "%", size, LEAST_SIZE, MOST_SIZE, 10);
    within("A place across", "%", x, NEAREST, FARTHEST, 10);
    within("A place down", "%", y, NEAREST, FARTHEST, 10);
    within("A turn", "degrees", turn, -TWO_TURNS, TWO_TURNS, 100);
  }

  private static void within(String what, String unit, int value, int least, int most, double per) {
    if (value < least || value > most) {
      throw new Refused(
          what
              + " is from "
              + Refused.number(least / per)
              + " to "
              + Refused.number(most / per)
              + " "
              + unit
              + ", not "
              + Refused.number(value / per)
              + ".");
    }
  }

  public Lie withOpacity(int other) {
    return new Lie(other, size, x, y, turn);
  }

  /** The same, as large and standing where said. */
  public Lie at(int otherSize, int otherX, int otherY) {
    return new Lie(opacity, otherSize, otherX, otherY, turn);
  }

  public Lie turned(int other) {
    return new Lie(opacity, size, x, y, other);
  }
}
