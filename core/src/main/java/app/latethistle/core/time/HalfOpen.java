package app.latethistle.core.time;

import app.latethistle.core.Refused;
import java.util.Optional;

/**
 * A half-open range {@code [start, end)} of frames or of samples: its start is in it, its end is
 * not, so that ranges that follow each other share a bound and no unit.
 *
 * @param <R> the range itself, so that frames never meet samples
 */
public sealed interface HalfOpen<R extends HalfOpen<R>> permits FrameRange, SampleRange {
  /** The first unit in it. */
  long start();

  /** The first unit after it. */
  long end();

  /**
   * Another range of the same unit.
   *
   * @throws IllegalArgumentException if it ends before it starts
   */
  R withBounds(long newStart, long newEnd);

  /** How many units are in it. */
  default long length() {
    return end() - start();
  }

  /** Whether there is none in it. */
  default boolean isEmpty() {
    return length() == 0;
  }

  /** Whether a unit is in it. */
  default boolean contains(long unit) {
    return unit >= start() && unit < end();
  }

  /** Whether all of another is in it. An empty one is where its bound is. */
  default boolean contains(R other) {
    return other.start() >= start() && other.end() <= end();
  }

  /** What it has in common with another; empty where they share no unit. */
  default Optional<R> intersect(R other) {
    long from = Math.max(start(), other.start());
    long to = Math.min(end(), other.end());
    return from < to ? Optional.of(withBounds(from, to)) : Optional.empty();
  }

  /** Whether they share a unit. */
  default boolean overlaps(R other) {
    return Math.max(start(), other.start()) < Math.min(end(), other.end());
  }

  /** The same length, later by so many units. */
  default R shift(long by) {
    return withBounds(start() + by, end() + by);
  }

  /** Refuses bounds in the wrong order. */
  static void check(long start, long end) {
    if (end < start) {
      throw new Refused("A range ends before it starts: " + start + " to " + end + ".");
    }
  }
}
