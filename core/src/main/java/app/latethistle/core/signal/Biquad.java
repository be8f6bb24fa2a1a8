package app.latethistle.core.signal;

/**
 * A filter of second order, in the transposed direct form II. The coefficients are those of R.
 * Bristow-Johnson's "Cookbook formulae for audio EQ biquad filter coefficients" (as published by
 * the W3C in 2021), at 48 kHz.
 */
public final class Biquad {
  private static final double RATE = 48_000;

  private final double b0;
  private final double b1;
  private final double b2;
  private final double a1;
  private final double a2;
  private double z1;
  private double z2;

  private Biquad(double b0, double b1, double b2, double a0, double a1, double a2) {
    this.b0 = b0 / a0;
    this.b1 = b1 / a0;
    this.b2 = b2 / a0;
    this.a1 = a1 / a0;
    this.a2 = a2 / a0;
  }

  /** Takes away what is lower than a frequency, 12 dB an octave. */
  public static Biquad lowCut(double hertz, double q) {
    double w = 2 * Math.PI * hertz / RATE;
    double cos = Math.cos(w);
    double alpha = Math.sin(w) / (2 * q);
    return new Biquad((1 + cos) / 2, -(1 + cos), (1 + cos) / 2, 1 + alpha, -2 * cos, 1 - alpha);
  }

  /** Takes away what is higher. */
  public static Biquad highCut(double hertz, double q) {
    double w = 2 * Math.PI * hertz / RATE;
    double cos = Math.cos(w);
    double alpha = Math.sin(w) / (2 * q);
    return new Biquad((1 - cos) / 2, 1 - cos, (1 - cos) / 2, 1 + alpha, -2 * cos, 1 - alpha);
  }

  /** Raises or lowers what is near a frequency by decibels. */
  public static Biquad bell(double hertz, double gain, double q) {
    double a = Math.pow(10, gain / 40);
    double w = 2 * Math.PI * hertz / RATE;
    double cos = Math.cos(w);
    double alpha = Math.sin(w) / (2 * q);
    return new Biquad(
        1 + alpha * a, -2 * cos, 1 - alpha * a, 1 + alpha / a, -2 * cos, 1 - alpha / a);
  }

  /** Raises or lowers what is lower by decibels. */
  public static Biquad lowShelf(double hertz, double gain, double q) {
    double a = Math.pow(10, gain / 40);
    double w = 2 * Math.PI * hertz / RATE;
    double cos = Math.cos(w);
    double root = 2 * Math.sqrt(a) * Math.sin(w) / (2 * q);
    return new Biquad(
        a * (a + 1 - (a - 1) * cos + root),
        2 * a * (a - 1 - (a + 1) * cos),
        a * (a + 1 - (a - 1) * cos - root),
        a + 1 + (a - 1) * cos + root,
        -2 * (a - 1 + (a + 1) * cos),
        a + 1 + (a - 1) * cos - root);
  }

  /** Raises or lowers what is higher by decibels. */
  public static Biquad highShelf(double hertz, double gain, double q) {
    double a = Math.pow(10, gain / 40);
    double w = 2 * Math.PI * hertz / RATE;
    double cos = Math.cos(w);
    double root = 2 * Math.sqrt(a) * Math.sin(w) / (2 * q);
    return new Biquad(
        a * (a + 1 + (a - 1) * cos + root),
        -2 * a * (a - 1 + (a + 1) * cos),
        a * (a + 1 + (a - 1) * cos - root),
        a + 1 - (a - 1) * cos + root,
        2 * (a - 1 - (a + 1) * cos),
        a + 1 - (a - 1) * cos - root);
  }

  /** This filter going on where another was, for one whose frequency moves. */
  public Biquad after(Biquad before) {
    z1 = before.z1;
    z2 = before.z2;
    return this;
  }

  /** The next sample. */
  public double next(double x) {
    double y = b0 * x + z1;
    z1 = b1 * x - a1 * y + z2;
    z2 = b2 * x - a2 * y;
    return y;
  }

  /** Filters channels in place, each from rest, all as long; two at once take as long as one. */
  public void run(float[]... channels) {
    if (channels.length == 2) {
      run(channels[0], channels[1]);
      return;
    }
    for (float[] samples : channels) {
      double first = 0;
      double second = 0;
      for (int i = 0; i < samples.length; i++) {
        double x = samples[i];
        double y = b0 * x + first;
        first = b1 * x - a1 * y + second;
        second = b2 * x - a2 * y;
        samples[i] = (float) y;
      }
    }
  }

  private void run(float[] left, float[] right) {
    double firstLeft = 0;
    double firstRight = 0;
    double secondLeft = 0;
    double secondRight = 0;
    for (int i = 0; i < left.length; i++) {
      double l = left[i];
      double r = right[i];
      double toLeft = b0 * l + firstLeft;
      double toRight = b0 * r + firstRight;
      firstLeft = b1 * l - a1 * toLeft + secondLeft;
      firstRight = b1 * r - a1 * toRight + secondRight;
      secondLeft = b2 * l - a2 * toLeft;
      secondRight = b2 * r - a2 * toRight;
      left[i] = (float) toLeft;
      right[i] = (float) toRight;
    }
  }
}
