package app.latethistle.core.film;

/**
 * A shot that lies over the cut, from one moment to another.
 *
 * @param layer 1 to 3; higher ones lie over lower ones, all over the cut, which is layer 0
 * @param placement what is seen; its id is the overlay's
 * @param start the tie of its first frame
 * @param end the tie of the frame after its last
 * @param opacity in percent, 1 to 100
 * @param size its width in percent of the film's, 10 to 100
 * @param x where it stands: 0 at the left, 100 at the right, 50 in the middle
 * @param y 0 at the top, 100 at the bottom
 */
public record Overlay(
    int layer, Placement placement, Tie start, Tie end, int opacity, int size, int x, int y) {
  public static final int LAYERS = 3;

  /**
   * @throws IllegalArgumentException if a value is out of its range
   */
  public Overlay {
    if (layer < 1 || layer > LAYERS) {
      throw new IllegalArgumentException(
          "A shot can lie on layer 1, 2 or 3 over the cut, not on " + layer + ".");
    }
    within("opacity", opacity, 1);
    within("size", size, 10);
    within("place across", x, 0);
    within("place down", y, 0);
  }

  private static void within(String what, int value, int least) {
    if (value < least || value > 100) {
      throw new IllegalArgumentException(
          "The " + what + " is from " + least + " to 100 %, not " + value + " %.");
    }
  }

  /** Over the whole picture. */
  public static Overlay whole(int layer, Placement placement, Tie start, Tie end) {
    return new Overlay(layer, placement, start, end, 100, 100, 50, 50);
  }

  /** Its name in the film. */
  public String name() {
    return placement.id();
  }

  Overlay withTies(Tie newStart, Tie newEnd) {
    return new Overlay(layer, placement, newStart, newEnd, opacity, size, x, y);
  }
}
