package app.latethistle.core.voice;

import app.latethistle.core.time.Samples;

/**
 * A word where it is spoken.
 *
 * @param text as it is written
 * @param start its first sample in the reading, at 48 kHz
 * @param end the sample after its last; equal to {@code start} if the word is not heard
 * @param confidence how well the sound fits the word beside the other words of the reading, 0 to 1
 */
public record SpokenWord(String text, long start, long end, double confidence) {
  /** Under this confidence a word is doubted. */
  static final double DOUBTFUL = 0.5;

  /** Words as short as "a" and "to", in samples, are spoken in too many ways to be doubted. */
  static final long SHORT = Samples.ofSeconds(0.13);

  /** Whether the word is spoken at all. */
  public boolean isHeard() {
    return end > start;
  }

  /** Whether the word is missing, or something else is said in its place. */
  public boolean isDoubtful() {
    return !isHeard() || (confidence < DOUBTFUL && end - start >= SHORT);
  }
}
