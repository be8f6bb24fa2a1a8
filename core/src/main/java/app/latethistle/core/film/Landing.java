package app.latethistle.core.film;

import app.latethistle.core.Refused;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * When a sound is heard.
 *
 * @param at what it lands on
 * @param offset samples later that it lands; negative is sooner
 * @param until what it goes on to: it is repeated or ended there; empty for as long as it is
 */
public record Landing(Tie at, long offset, Optional<Tie> until) {
  private static final long FARTHEST = 60L * 48_000;

  /**
   * @throws IllegalArgumentException if the offset is longer than a minute
   */
  public Landing {
    if (Math.abs(offset) > FARTHEST) {
      throw new Refused("A sound lands up to 60 s from what it is tied to.");
    }
  }

  /** Exactly on a tie, as long as it is. */
  public static Landing on(Tie tie) {
    return new Landing(tie, 0, Optional.empty());
  }

  /** From one tie to another. */
  public static Landing between(Tie start, Tie end) {
    return new Landing(start, 0, Optional.of(end));
  }

  /** The same with other ties. */
  Landing map(UnaryOperator<Tie> other) {
    return new Landing(other.apply(at), offset, until.map(other));
  }
}
