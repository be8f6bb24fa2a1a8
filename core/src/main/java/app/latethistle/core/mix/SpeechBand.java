package app.latethistle.core.mix;

import app.latethistle.core.signal.Convolution;

/**
 * What of a sound lies where speech does, 300 to 4000 Hz (the band of telephony, ITU-T G.712, a
 * little wider above for consonants): a filter of linear phase, so that what is left when some of
 * it is taken away sounds as before.
 */
final class SpeechBand {
  /** Samples to either side of one that the filter hears. */
  static final int HALF = 512;

  private static final double FROM = 300;
  private static final double TO = 4_000;
  private static final Convolution FILTER = new Convolution(taps());

  private SpeechBand() {}

  private static float[] taps() {
    float[] taps = new float[2 * HALF + 1];
    for (int i = 0; i < taps.length; i++) {
      int n = i - HALF;
      double window = 0.5 + 0.5 * Math.cos(Math.PI * n / (HALF + 1));
      taps[i] = (float) (window * (low(n, TO) - low(n, FROM)));
    }
    return taps;
  }

  private static double low(int n, double hertz) {
    double f = 2 * hertz / 48_000;
    return n == 0 ? f : Math.sin(Math.PI * f * n) / (Math.PI * n);
  }

  /**
   * Multiplies what of samples lies in the band by factors, in place; the first and last {@link
   * #HALF} samples stay.
   *
   * @param stereo left and right in turn
   */
  static void apply(float[] stereo, float[] factors, int frames) {
    int block = Convolution.BLOCK;
    float[] piece = new float[2 * block];
    float[] band = new float[2 * block];
    float[] out = stereo.clone();
    for (int side = 0; side < 2; side++) {
      for (int from = HALF; from < frames - HALF; from += block) {
        for (int i = 0; i < 2 * block; i++) {
          int at = from + HALF + i - block;
          piece[i] = at >= 0 && at < frames ? stereo[2 * at + side] : 0;
        }
        float[] spectrum = Convolution.spectrum(piece);
        FILTER.apply(back -> spectrum, band);
        int to = Math.min(block, frames - HALF - from);
        for (int i = 0; i < to; i++) {
          int at = from + i;
          out[2 * at + side] += (factors[at] - 1) * band[block + i];
        }
      }
    }
    System.arraycopy(out, 0, stereo, 0, 2 * frames);
  }
}
