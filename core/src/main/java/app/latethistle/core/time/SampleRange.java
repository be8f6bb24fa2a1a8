package app.latethistle.core.time;

/**
 * A half-open range of samples {@code [start, end)} at {@link Samples#RATE}.
 *
 * @param start the first sample in it
 * @param end the first sample after it, not before {@code start}
 */
public record SampleRange(long start, long end) implements HalfOpen<SampleRange> {
  /**
   * @throws IllegalArgumentException if the range ends before it starts
   */
  public SampleRange {
    HalfOpen.check(start, end);
  }

  /** The range of {@code length} samples from {@code start}. */
  public static SampleRange ofLength(long start, long length) {
    return new SampleRange(start, start + length);
  }

  @Override
  public SampleRange withBounds(long newStart, long newEnd) {
    return new SampleRange(newStart, newEnd);
  }
}
