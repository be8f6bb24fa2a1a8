package app.latethistle.core.signal;

import java.util.Arrays;

/**
 * How strongly something begins at each hop of a sound: log-mel spectral flux, the rise of each
 * band over the highest of its neighbours two hops before (Boeck and Widmer 2013, "Maximum filter
 * vibrato suppression"), summed, less its mean over the second around, and scaled to a standard
 * deviation of 1.
 */
public final class OnsetStrength {
  private static final int LAG = 2;

  private OnsetStrength() {}

  /** Onset strength over all bands, one value a frame of the spectrogram, none negative. */
  public static float[] of(LogMel mel) {
    return of(mel, 0, LogMel.BANDS);
  }

  /** Onset strength over the bands {@code [from, to)} only. */
  public static float[] of(LogMel mel, int from, int to) {
    float[] flux = new float[mel.length()];
    for (int i = LAG; i < flux.length; i++) {
      float[] now = mel.frame(i);
      float[] before = mel.frame(i - LAG);
      float sum = 0;
      for (int b = from; b < to; b++) {
        float reference = before[b];
        if (b > 0) {
          reference = Math.max(reference, before[b - 1]);
        }
        if (b + 1 < LogMel.BANDS) {
          reference = Math.max(reference, before[b + 1]);
        }
        sum += Math.max(0, now[b] - reference);
      }
      flux[i] = sum;
    }
    return normalise(flux, (int) Math.round(0.5 / mel.hopSeconds()));
  }

  private static float[] normalise(float[] flux, int radius) {
    double[] cumulative = new double[flux.length + 1];
    for (int i = 0; i < flux.length; i++) {
      cumulative[i + 1] = cumulative[i] + flux[i];
    }
    float[] out = new float[flux.length];
    double squares = 0;
    for (int i = 0; i < flux.length; i++) {
      int a = Math.max(0, i - radius);
      int b = Math.min(flux.length, i + radius + 1);
      double mean = (cumulative[b] - cumulative[a]) / (b - a);
      out[i] = (float) Math.max(0, flux[i] - mean);
      squares += out[i] * out[i];
    }
    double deviation = Math.sqrt(squares / Math.max(1, flux.length));
    if (deviation < 1e-6) {
      Arrays.fill(out, 0);
      return out;
    }
    for (int i = 0; i < out.length; i++) {
      out[i] /= (float) deviation;
    }
    return out;
  }
}
