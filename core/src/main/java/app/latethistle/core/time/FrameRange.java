package app.latethistle.core.time;

/**
 * A half-open range of frames {@code [start, end)}.
 *
 * @param start the first frame in it
 * @param end the first frame after it, not before {@code start}
 */
public record FrameRange(long start, long end) implements HalfOpen<FrameRange> {
  /**
   * @throws IllegalArgumentException if the range ends before it starts
   */
  public FrameRange {
    HalfOpen.check(start, end);
  }

  /** The range of {@code length} frames from {@code start}. */
  public static FrameRange ofLength(long start, long length) {
    return new FrameRange(start, start + length);
  }

  @Override
  public FrameRange withBounds(long newStart, long newEnd) {
    return new FrameRange(newStart, newEnd);
  }
}
