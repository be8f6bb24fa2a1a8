package app.latethistle.core.music;

/**
 * How likely the trained network holds a beat at each hop of a song, and how rows agree with it.
 */
final class HeardBeats {
  /** Hops by which a beat may miss what was heard. */
  private static final int NEAR = 3;

  /** Beyond these log odds a beat is as sure, or as sure none, as the network can tell. */
  private static final float SURE = 4;

  private final float[] beats;
  private final double seconds;

  /** The root of the sum of squares of all likelihoods that stand out. */
  private final double whole;

  /**
   * @param beats log odds of a beat at each hop
   * @param seconds that the song lasts
   */
  HeardBeats(float[] beats, double seconds) {
    this.beats = beats;
    this.seconds = seconds;
    double squares = 0;
    for (int i = 1; i + 1 < beats.length; i++) {
      if (beats[i] >= beats[i - 1] && beats[i] > beats[i + 1]) {
        squares += likelihood(beats[i]) * likelihood(beats[i]);
      }
    }
    whole = Math.sqrt(squares);
  }

  /** What is heard in a song. */
  static HeardBeats in(Features f) {
    float[] moments = BeatNet.shipped().in(f.length(), f.mel::frame);
    return new HeardBeats(hops(moments, f.length()), f.length() * f.hop);
  }

  /** How likely a beat is at each hop, scaled to a mean of 0 and a standard deviation of 1. */
  float[] standingOut() {
    float[] likelihoods = new float[beats.length];
    for (int i = 0; i < likelihoods.length; i++) {
      likelihoods[i] = (float) likelihood(beats[i]);
    }
    return Features.scaled(likelihoods);
  }

  /** Moments, which are pairs of hops, brought to hops; between two it goes straight. */
  private static float[] hops(float[] moments, int length) {
    float[] hops = new float[length];
    for (int i = 0; i < length && moments.length > 1; i++) {
      double at = (i - 0.5) / BeatNet.FRAMES;
      int before = (int) Math.max(0, Math.min(moments.length - 2.0, at));
      double share = Math.max(0, Math.min(1, at - before));
      hops[i] = (float) (moments[before] + share * (moments[before + 1] - moments[before]));
    }
    return hops;
  }

  /**
   * How alike a row and what was heard are, 0 to 1: the cosine between beats and likelihoods. It is
   * less where beats lie that were not heard, and where some were heard that are not in the row.
   */
  double likeness(int[] row) {
    double sum = 0;
    for (int beat : row) {
      sum += likelihood(strongest(beats, beat));
    }
    return sum / Math.max(1e-9, Math.sqrt(row.length) * whole);
  }

  /** What speaks for a row's beats, as log odds a second of the song. */
  double odds(int[] row) {
    double sum = 0;
    for (int beat : row) {
      sum += Math.max(-SURE, Math.min(SURE, strongest(beats, beat)));
    }
    return sum / seconds;
  }

  private static float strongest(float[] odds, int at) {
    float top = Float.NEGATIVE_INFINITY;
    int last = Math.min(odds.length - 1, at + NEAR);
    for (int i = Math.max(0, at - NEAR); i <= last; i++) {
      top = Math.max(top, odds[i]);
    }
    return top;
  }

  private static double likelihood(float odds) {
    return 1 / (1 + Math.exp(-odds));
  }
}
