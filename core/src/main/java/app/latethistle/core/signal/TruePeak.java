package app.latethistle.core.signal;

/**
 * True peaks as ITU-R BS.1770-4 annex 2 estimates them: the signal at four times its rate, through
 * the interpolating filter of 48 coefficients that its table gives for 48 kHz.
 */
public final class TruePeak {
  /** Samples before and after one that its estimate needs. */
  public static final int TAPS = 12;

  private static final double[][] PHASES = {
    {
      0.0017089843750, 0.0109863281250, -0.0196533203125, 0.0332031250000,
      -0.0594482421875, 0.1373291015625, 0.9721679687500, -0.1022949218750,
      0.0476074218750, -0.0266113281250, 0.0148925781250, -0.0083007812500
    },
    {
      -0.0291748046875, 0.0292968750000, -0.0517578125000, 0.0891113281250,
      -0.1665039062500, 0.4650878906250, 0.7797851562500, -0.2003173828125,
      0.1015625000000, -0.0582275390625, 0.0330810546875, -0.0189208984375
    },
    {
      -0.0189208984375, 0.0330810546875, -0.0582275390625, 0.1015625000000,
      -0.2003173828125, 0.7797851562500, 0.4650878906250, -0.1665039062500,
      0.0891113281250, -0.0517578125000, 0.0292968750000, -0.0291748046875
    },
    {
      -0.0083007812500, 0.0148925781250, -0.0266113281250, 0.0476074218750,
      -0.1022949218750, 0.9721679687500, 0.1373291015625, -0.0594482421875,
      0.0332031250000, -0.0196533203125, 0.0109863281250, 0.0017089843750
    }
  };

  private TruePeak() {}

  /**
   * The greatest magnitude near each sample: of it and of the points between it and the next.
   *
   * @param stereo left and right in turn
   * @param above where no sample near by is as loud as this, only samples count; 0 for everywhere
   * @param peaks one for each frame; the first and last {@link #TAPS} of them know nothing of what
   *     lies outside
   */
  public static void of(float[] stereo, float above, float[] peaks) {
    int frames = peaks.length;
    // One past the last sample that has one as loud near by, of all that were looked at.
    int near = 0;
    for (int ahead = 0; ahead < Math.min(frames, TAPS / 2); ahead++) {
      near = loud(stereo, ahead, above) ? ahead + TAPS / 2 : near;
    }
    for (int i = 0; i < frames; i++) {
      int ahead = i + TAPS / 2;
      if (ahead < frames && loud(stereo, ahead, above)) {
        near = ahead + TAPS / 2;
      }
      float peak = Math.max(Math.abs(stereo[2 * i]), Math.abs(stereo[2 * i + 1]));
      peaks[i] = i < near ? Math.max(peak, between(stereo, i, frames)) : peak;
    }
  }

  private static boolean loud(float[] stereo, int i, float above) {
    return Math.abs(stereo[2 * i]) > above || Math.abs(stereo[2 * i + 1]) > above;
  }

  /** The greatest magnitude of the points that four times the rate has around a sample. */
  private static float between(float[] stereo, int i, int frames) {
    double peak = 0;
    for (int side = 0; side < 2; side++) {
      for (double[] phase : PHASES) {
        double sum = 0;
        for (int t = 0; t < TAPS; t++) {
          int at = i + t - TAPS / 2 + 1;
          if (at >= 0 && at < frames) {
            sum += phase[TAPS - 1 - t] * stereo[2 * at + side];
          }
        }
        peak = Math.max(peak, Math.abs(sum));
      }
    }
    return (float) peak;
  }
}
