package app.latethistle.core.film;

import app.latethistle.core.Refused;
import app.latethistle.core.look.LiePath;
import app.latethistle.core.look.Mixing;

/**
 * A shot that lies over the cut, from one moment to another.
 *
 * @param layer 1 to 3; higher ones lie over lower ones, all over the cut, which is layer 0
 * @param placement what is seen; its id is the overlay's
 * @param ties of its first frame and of the frame after its last
 * @param lie where it lies on the picture, over the time it is seen
 * @param mixing how it mixes with what lies under it
 */
public record Overlay(int layer, Placement placement, Ties ties, LiePath lie, Mixing mixing) {
  public static final int LAYERS = 3;

  /** When it is seen: from the tie of its first frame to that of the frame after its last. */
  public record Ties(Tie start, Tie end) {
    /**
     * @throws IllegalArgumentException if it is tied as only sounds are
     */
    public Ties {
      Tie.ofClock(start);
      Tie.ofClock(end);
    }
  }

  /**
   * @throws IllegalArgumentException if there is no such layer
   */
  public Overlay {
    if (layer < 1 || layer > LAYERS) {
      throw new Refused("A shot can lie on layer 1, 2 or 3 over the cut, not on " + layer + ".");
    }
  }

  /** Over the whole picture. */
  public static Overlay whole(int layer, Placement placement, Tie start, Tie end) {
    return new Overlay(layer, placement, new Ties(start, end), LiePath.WHOLE, Mixing.NORMAL);
  }

  /** Its name in the film. */
  public String name() {
    return placement.id();
  }

  /** The tie of its first frame. */
  public Tie start() {
    return ties.start;
  }

  /** The tie of the frame after its last. */
  public Tie end() {
    return ties.end;
  }

  public Overlay withLayer(int other) {
    return new Overlay(other, placement, ties, lie, mixing);
  }

  public Overlay withPlacement(Placement other) {
    return new Overlay(layer, other, ties, lie, mixing);
  }

  public Overlay withTies(Ties other) {
    return new Overlay(layer, placement, other, lie, mixing);
  }

  public Overlay withLie(LiePath other) {
    return new Overlay(layer, placement, ties, other, mixing);
  }

  public Overlay withMixing(Mixing other) {
    return new Overlay(layer, placement, ties, lie, other);
  }
}
