package app.latethistle.core.time;

/**
 * A half-open range of frames {@code [start, end)}.
 *
 * @param start the first frame in it
 * @param end the first frame after it, not before {@code start}
 */
public record FrameRange(long start, long end) {
  /**
   * @throws IllegalArgumentException if the range ends before it starts
   */
  public FrameRange {
    if (end < start) {
      throw new IllegalArgumentException("Range ends before it starts: " + start + " to " + end);
    }
  }

  /** The range of {@code length} frames from {@code start}. */
  public static FrameRange ofLength(long start, long length) {
    return new FrameRange(start, start + length);
  }

  /** Its length in frames. */
  public long length() {
    return end - start;
  }

  /** Whether the frame is in it. */
  public boolean contains(long frame) {
    return frame >= start && frame < end;
  }

  /** The same length, later by {@code frames}. */
  public FrameRange shift(long frames) {
    return new FrameRange(start + frames, end + frames);
  }
}
