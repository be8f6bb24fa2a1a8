package app.latethistle.core.film;

import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.words.Movement;

/**
 * Where a title is in the film, in its frames.
 *
 * @param start the first in which something of it is seen; it may lie before the film
 * @param landing the first in which all of it has arrived
 * @param end the one after its last
 */
public record TitlePlace(long start, long landing, long end) {
  /** Seconds from its landing until it begins to leave. */
  public double standsFor(Movement movement, FrameRate rate) {
    return rate.secondsOf(leaves(movement) - landing);
  }

  /** The first frame in which it goes; its end if it goes at once. */
  public long leaves(Movement movement) {
    return movement.out().isAtOnce() ? end : Math.max(landing, end - movement.out().frames());
  }

  /** The frames in which something of it is seen. */
  public FrameRange range() {
    return new FrameRange(start, end);
  }
}
