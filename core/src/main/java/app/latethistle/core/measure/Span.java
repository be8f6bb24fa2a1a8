package app.latethistle.core.measure;

/**
 * A stretch of a take's frames.
 *
 * @param start the first frame, from 0
 * @param end the frame after the last
 */
public record Span(int start, int end) {
  /**
   * @throws IllegalArgumentException if it ends before it starts
   */
  public Span {
    if (start < 0 || end < start) {
      throw new IllegalArgumentException("No span runs from " + start + " to " + end + ".");
    }
  }

  /** How many frames. */
  public int length() {
    return end - start;
  }
}
