package app.latethistle.core.signal;

import app.latethistle.core.time.SampleRange;
import java.util.ArrayList;
import java.util.List;

/**
 * How loud a sound is over its time: the energy of each tenth of a second, weighted as ITU-R
 * BS.1770-4 has it. Any range of it can be asked for without hearing it again.
 */
public final class LoudnessTrace {
  /** Samples of a step. */
  static final int STEP = 4_800;

  /** Nothing is known of the sound. */
  public static final LoudnessTrace UNKNOWN = new LoudnessTrace(new double[0]);

  private final double[] energy;

  LoudnessTrace(double[] energy) {
    this.energy = energy;
  }

  /** Whether anything is known. */
  public boolean isKnown() {
    return energy.length > 0;
  }

  /**
   * The integrated loudness of a range, in LUFS, with the gates of BS.1770-4; its blocks begin at
   * whole tenths of a second. {@link Loudness#SILENT} where there is nothing.
   *
   * @param range samples of the sound
   */
  public double in(SampleRange range) {
    int from = (int) Math.max(0, range.start() / STEP);
    int to = (int) Math.min(energy.length, Math.max((range.end() + STEP - 1) / STEP, from + 1));
    if (to <= from) {
      return Loudness.SILENT;
    }
    int length = Math.min(Loudness.BLOCK_TENTHS, to - from);
    List<Double> blocks = new ArrayList<>();
    for (int at = from; at + length <= to; at++) {
      double sum = 0;
      for (int i = at; i < at + length; i++) {
        sum += energy[i];
      }
      blocks.add(sum / length);
    }
    return Loudness.gated(blocks);
  }
}
