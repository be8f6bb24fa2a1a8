package app.latethistle.core.film;

import app.latethistle.core.take.Framing;

/**
 * A shot's place in the film: which take, from which of its frames, how framed.
 *
 * @param shot the shot's id in the production
 * @param take the take's id
 * @param in the take's first used frame, at the film's rate
 * @param framing how its picture meets the film's
 * @param locked whether a new first cut leaves it where it is
 */
public record Placement(String shot, String take, long in, Framing framing, boolean locked) {
  /**
   * @throws IllegalArgumentException if the first used frame is negative
   */
  public Placement {
    if (in < 0) {
      throw new IllegalArgumentException(
          "A take starts at frame 0; frame " + in + " is before it.");
    }
  }

  Placement withTake(String newTake, long newIn, Framing newFraming) {
    return new Placement(shot, newTake, newIn, newFraming, locked);
  }

  Placement withIn(long newIn) {
    return new Placement(shot, take, newIn, framing, locked);
  }

  Placement withFraming(Framing newFraming) {
    return new Placement(shot, take, in, newFraming, locked);
  }

  Placement withLocked(boolean newLocked) {
    return new Placement(shot, take, in, framing, newLocked);
  }
}
