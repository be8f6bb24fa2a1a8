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
    for (int i = 0; i < frames; i++) {
      float peak = Math.max(Math.abs(stereo[2 * i]), Math.abs(stereo[2 * i + 1]));
      if (loudest(stereo, i, frames) > above) {
        for (int side = 0; side < 2; side++) {
          for (double[] phase : PHASES) {
            double sum = 0;
            for (int t = 0; t < TAPS; t++) {
              int at = i + t - TAPS / 2 + 1;
              if (at >= 0 && at < frames) {
                sum += phase[TAPS - 1 - t] * stereo[2 * at + side];
              }
            }
            peak = Math.max(peak, (float) Math.abs(sum));
          }
        }
      }
      peaks[i] = peak;
    }
  }

  private static float loudest(float[] stereo, int i, int frames) {
    float loudest = 0;
    int from = Math.max(0, i - TAPS / 2 + 1);
    int to = Math.min(frames, i + TAPS / 2 + 1);
    for (int at = 2 * from; at < 2 * to; at++) {
      loudest = Math.max(loudest, Math.abs(stereo[at]));
    }
    return loudest;
  }
}
