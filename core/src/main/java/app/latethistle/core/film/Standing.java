package app.latethistle.core.film;

import app.latethistle.core.Refused;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * When a title has arrived, and how long it stays.
 *
 * @param lands what its landing is tied to; a long entrance begins early
 * @param frames from its landing to its end, its exit among them, 1 to 100,000
 * @param until what it ends on instead
 */
public record Standing(Tie lands, long frames, Optional<Tie> until) {
  private static final long LONGEST = 100_000;

  /**
   * @throws IllegalArgumentException if it does not stay, or too long
   */
  public Standing {
    if (frames < 1 || frames > LONGEST) {
      throw new Refused("A title stays for 1 to " + LONGEST + " frames, not " + frames + ".");
    }
  }

  /** For so many frames. */
  public static Standing of(Tie lands, long frames) {
    return new Standing(lands, frames, Optional.empty());
  }

  /** The same with other ties. */
  Standing map(UnaryOperator<Tie> other) {
    return new Standing(other.apply(lands), frames, until.map(other));
  }
}
