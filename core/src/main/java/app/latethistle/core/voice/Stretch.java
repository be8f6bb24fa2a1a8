package app.latethistle.core.voice;

/**
 * A part of a reading.
 *
 * @param start its first sample, at 48 kHz
 * @param end the sample after its last
 */
public record Stretch(long start, long end) {
  /**
   * @throws IllegalArgumentException if it ends before it starts
   */
  public Stretch {
    if (end < start) {
      throw new IllegalArgumentException("A stretch that ends before it starts.");
    }
  }

  /** Its length in samples. */
  public long length() {
    return end - start;
  }
}
