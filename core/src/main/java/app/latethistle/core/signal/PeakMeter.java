package app.latethistle.core.signal;

import java.util.Arrays;

/**
 * The highest true peak of a sound that comes block by block: as {@link TruePeak} has it, and where
 * that comes near the highest so far, as {@link SharpPeak} sees it.
 */
public final class PeakMeter {
  /** Samples of each side that an estimate reaches back. */
  private static final int BEFORE = 2 * SharpPeak.HALF;

  private float[] known = new float[2 * BEFORE];
  private float most;

  /**
   * Takes more of the sound.
   *
   * @param stereo left and right in turn at 48 kHz
   * @param count samples of each side
   */
  public void add(float[] stereo, int count) {
    float[] with = Arrays.copyOf(known, known.length + 2 * count);
    System.arraycopy(stereo, 0, with, known.length, 2 * count);
    float[] peaks = new float[with.length / 2];
    TruePeak.of(with, most / 2.2f, peaks);
    for (int i = SharpPeak.HALF; i < peaks.length - SharpPeak.HALF; i++) {
      most = Math.max(most, SharpPeak.near(peaks[i], most, with, i));
    }
    known = Arrays.copyOfRange(with, with.length - 2 * BEFORE, with.length);
  }

  /**
   * In dBTP; negative infinity for silence. What comes within 24 samples of the end is not known.
   */
  public double decibels() {
    float end = most;
    for (float sample : known) {
      end = Math.max(end, Math.abs(sample));
    }
    return 20 * Math.log10(end);
  }
}
