package app.latethistle.core.signal;

import java.util.Arrays;

/**
 * Makes a sound longer or shorter and leaves its pitch: overlapping pieces are set side by side
 * anew, each taken from where it goes on best with the one before (waveform similarity overlap-add,
 * Verhelst and Roelands 1993).
 */
public final class TimeStretch {
  /** Samples of a piece: 43 ms, two periods of the lowest voice (memory: common for speech). */
  private static final int PIECE = 2048;

  private static final int HOP = PIECE / 2;

  /** Samples to either side in which a piece is sought: a period of 50 Hz and a half of it. */
  private static final int SEEK = 720;

  private static final float[] WINDOW = new float[PIECE];

  static {
    for (int i = 0; i < PIECE; i++) {
      WINDOW[i] = (float) (0.5 - 0.5 * Math.cos(2 * Math.PI * (i + 0.5) / PIECE));
    }
  }

  private TimeStretch() {}

  /**
   * A sound made so long; channels keep together.
   *
   * @param channels each at 48 kHz, of one length
   * @param length samples of the result
   */
  public static float[][] to(float[][] channels, int length) {
    int own = channels[0].length;
    if (length == own || own == 0) {
      return Arrays.stream(channels).map(c -> Arrays.copyOf(c, length)).toArray(float[][]::new);
    }
    float[] guide = new float[own];
    for (float[] channel : channels) {
      for (int i = 0; i < own; i++) {
        guide[i] += channel[i];
      }
    }
    float[][] out = new float[channels.length][length];
    float[] weight = new float[length];
    double step = (double) own / length;
    int wanted = -HOP;
    for (int at = -HOP; at < length; at += HOP) {
      int ideal = (int) Math.round((at + HOP) * step) - HOP;
      int from = at == -HOP ? ideal : best(guide, wanted, ideal);
      for (int i = Math.max(0, -at); i < PIECE && at + i < length; i++) {
        int source = from + i;
        weight[at + i] += WINDOW[i];
        if (source >= 0 && source < own) {
          for (int c = 0; c < channels.length; c++) {
            out[c][at + i] += WINDOW[i] * channels[c][source];
          }
        }
      }
      wanted = from + HOP;
    }
    for (float[] channel : out) {
      for (int i = 0; i < length; i++) {
        channel[i] /= Math.max(weight[i], 1e-3f);
      }
    }
    return out;
  }

  /** The start near one at which the sound is most like what would follow of itself. */
  private static int best(float[] guide, int wanted, int ideal) {
    int best = ideal;
    double most = Double.NEGATIVE_INFINITY;
    int coarse = 8;
    for (int shift = -SEEK; shift <= SEEK; shift += coarse) {
      double like = likeness(guide, wanted, ideal + shift, coarse);
      if (like > most) {
        most = like;
        best = ideal + shift;
      }
    }
    int around = best;
    most = Double.NEGATIVE_INFINITY;
    for (int shift = -coarse; shift <= coarse; shift++) {
      double like = likeness(guide, wanted, around + shift, 1);
      if (like > most) {
        most = like;
        best = around + shift;
      }
    }
    return best;
  }

  /** Normalised correlation of two pieces; every so many samples are enough to come near. */
  private static double likeness(float[] guide, int a, int b, int every) {
    int from = Math.max(0, Math.max(-a, -b));
    int to = Math.min(PIECE, guide.length - Math.max(a, b));
    double both = 0;
    double energy = 1e-9;
    for (int i = from; i < to; i += every) {
      both += guide[a + i] * (double) guide[b + i];
      energy += guide[b + i] * (double) guide[b + i];
    }
    return both / Math.sqrt(energy);
  }
}
