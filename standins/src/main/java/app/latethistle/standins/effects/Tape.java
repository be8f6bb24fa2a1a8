package app.latethistle.standins.effects;

import app.latethistle.core.signal.Biquad;
import app.latethistle.core.time.Samples;
import java.util.SplittableRandom;

/** Stereo samples that sounds are added to. */
final class Tape {
  private static final double FLAT = Math.sqrt(0.5);

  private final float[] left;
  private final float[] right;
  private final SplittableRandom random;

  Tape(double seconds, long seed) {
    left = new float[(int) Samples.ofSeconds(seconds)];
    right = new float[left.length];
    random = new SplittableRandom(seed);
  }

  /** A value over time, in seconds. */
  interface At {
    double at(double t);

    /** The product of both. */
    default At times(At other) {
      return t -> at(t) * other.at(t);
    }
  }

  double seconds() {
    return (double) left.length / Samples.RATE;
  }

  /** A number from 0 to 1. */
  double chance() {
    return random.nextDouble();
  }

  double between(double a, double b) {
    return a + (b - a) * random.nextDouble();
  }

  private double white() {
    return 2 * random.nextDouble() - 1;
  }

  /** Always the same. */
  static At flat(double value) {
    return t -> value;
  }

  /** Comes in a time and dies away by a factor e in another. */
  static At struck(double at, double attack, double decay) {
    return t ->
        t < at
            ? 0
            : Math.min(1, (t - at) / attack) * Math.exp(-Math.max(0, t - at - attack) / decay);
  }

  /** Rises and falls as half of a sine between two times. */
  static At swell(double from, double to) {
    return t -> t <= from || t >= to ? 0 : Math.sin(Math.PI * (t - from) / (to - from));
  }

  /** Rises ever faster to a time and is gone at once. */
  static At rising(double to, double power) {
    return t -> t >= to ? 0 : Math.pow(t / to, power);
  }

  /** From one value to another, evenly in octaves. */
  static At glide(double from, double to, double seconds) {
    return t -> from * Math.pow(to / from, Math.max(0, Math.min(1, t / seconds)));
  }

  /** Wanders slowly between 0 and 1. */
  At wandering(double perSecond) {
    double a = between(0, 7);
    double b = between(0, 7);
    double c = between(0, 7);
    return t ->
        0.5
            + 0.25 * Math.sin(2 * Math.PI * perSecond * t + a)
            + 0.15 * Math.sin(2 * Math.PI * perSecond * 1.73 * t + b)
            + 0.1 * Math.sin(2 * Math.PI * perSecond * 3.11 * t + c);
  }

  /**
   * Noise between two frequencies.
   *
   * @param width 0 for the same on both sides, 1 for nothing in common
   */
  Tape hiss(At level, double low, double high, double width) {
    Biquad[] cut = {Biquad.lowCut(low, FLAT), Biquad.lowCut(low, FLAT)};
    Biquad[] dull = {Biquad.highCut(high, FLAT), Biquad.highCut(high, FLAT)};
    for (int i = 0; i < left.length; i++) {
      double t = (double) i / Samples.RATE;
      double gain = level.at(t);
      double common = white();
      double l = (1 - width) * common + width * white();
      double r = (1 - width) * common + width * white();
      left[i] += (float) (gain * dull[0].next(cut[0].next(l)));
      right[i] += (float) (gain * dull[1].next(cut[1].next(r)));
    }
    return this;
  }

  /** Noise near a frequency that moves (a state-variable filter, Simper's trapezoidal form). */
  Tape sweep(At level, At hertz, double q, double width) {
    double[] z = new double[4];
    for (int i = 0; i < left.length; i++) {
      double t = (double) i / Samples.RATE;
      double gain = level.at(t);
      double g = Math.tan(Math.PI * Math.min(20_000, hertz.at(t)) / Samples.RATE);
      double k = 1 / q;
      double a1 = 1 / (1 + g * (g + k));
      double common = white();
      for (int side = 0; side < 2; side++) {
        double x = (1 - width) * common + width * white();
        double v3 = x - z[2 * side + 1];
        double v1 = a1 * z[2 * side] + a1 * g * v3;
        double v2 = z[2 * side + 1] + a1 * g * z[2 * side] + a1 * g * g * v3;
        z[2 * side] = 2 * v1 - z[2 * side];
        z[2 * side + 1] = 2 * v2 - z[2 * side + 1];
        (side == 0 ? left : right)[i] += (float) (gain * k * v1 * 2);
      }
    }
    return this;
  }

  /** A tone that may move; its overtones are so much softer each. */
  Tape tone(At level, At hertz, double pan, int overtones, double softer) {
    double phase = random.nextDouble() * 2 * Math.PI;
    double l = Math.cos((pan + 1) * Math.PI / 4);
    double r = Math.sin((pan + 1) * Math.PI / 4);
    for (int i = 0; i < left.length; i++) {
      double t = (double) i / Samples.RATE;
      double f = hertz.at(t);
      phase += 2 * Math.PI * f / Samples.RATE;
      double sum = 0;
      double gain = 1;
      for (int n = 1; n <= overtones + 1 && n * f < 18_000; n++) {
        sum += gain * Math.sin(n * phase);
        gain *= softer;
      }
      double value = level.at(t) * sum;
      left[i] += (float) (l * value);
      right[i] += (float) (r * value);
    }
    return this;
  }

  /**
   * A thing that is struck: it rings on its own frequencies, higher ones for a shorter time, and
   * the stroke itself is a moment of noise.
   *
   * @param ratios of its frequencies to the lowest
   * @param decay seconds in which the lowest dies away by a factor e
   * @param scratch how loud the stroke is beside the ringing
   */
  Tape hit(
      double at,
      double level,
      double pan,
      double hertz,
      double[] ratios,
      double decay,
      double scratch) {
    double l = level * Math.cos((pan + 1) * Math.PI / 4);
    double r = level * Math.sin((pan + 1) * Math.PI / 4);
    int from = (int) Samples.ofSeconds(at);
    for (int n = 0; n < ratios.length; n++) {
      double f = hertz * ratios[n] * between(0.985, 1.015);
      if (f > 18_000) {
        continue;
      }
      double time = decay / Math.sqrt(ratios[n]) * between(0.8, 1.2);
      double gain = between(0.5, 1) / (1 + 0.4 * n);
      int to = (int) Math.min(left.length, from + Samples.ofSeconds(time * 8));
      double w = 2 * Math.PI * f / Samples.RATE;
      double phase = random.nextDouble() * 0.6;
      for (int i = Math.max(0, from); i < to; i++) {
        double t = (double) (i - from) / Samples.RATE;
        double value =
            gain * Math.min(1, t / 0.0008) * Math.exp(-t / time) * Math.sin(w * (i - from) + phase);
        left[i] += (float) (l * value);
        right[i] += (float) (r * value);
      }
    }
    if (scratch > 0) {
      puff(at, level * scratch, pan, 900, 9_000, 0.004);
    }
    return this;
  }

  /** A short burst of noise. */
  Tape puff(double at, double level, double pan, double low, double high, double decay) {
    Biquad cut = Biquad.lowCut(low, FLAT);
    Biquad dull = Biquad.highCut(high, FLAT);
    double l = level * Math.cos((pan + 1) * Math.PI / 4);
    double r = level * Math.sin((pan + 1) * Math.PI / 4);
    int from = Math.max(0, (int) Samples.ofSeconds(at));
    int to = (int) Math.min(left.length, from + Samples.ofSeconds(decay * 8));
    for (int i = from; i < to; i++) {
      double t = (double) (i - from) / Samples.RATE;
      double value = dull.next(cut.next(white())) * Math.min(1, t / 0.0006) * Math.exp(-t / decay);
      left[i] += (float) (l * value);
      right[i] += (float) (r * value);
    }
    return this;
  }

  /** Something small. */
  interface Grain {
    void at(double seconds);
  }

  /** Many of something small at random moments, so many a second at a level of 1. */
  Tape grains(double perSecond, At level, Grain grain) {
    double t = 0;
    while (t < seconds()) {
      t += -Math.log(1 - random.nextDouble()) / perSecond;
      if (random.nextDouble() < level.at(t) && t < seconds()) {
        grain.at(t);
      }
    }
    return this;
  }

  /** Turns it round. */
  Tape backwards() {
    for (float[] side : new float[][] {left, right}) {
      for (int i = 0, j = side.length - 1; i < j; i++, j--) {
        float x = side[i];
        side[i] = side[j];
        side[j] = x;
      }
    }
    return this;
  }

  /** Echoes of a space, in which it dies away in so many seconds. */
  Tape space(double seconds, double share) {
    int[] lines = {1_423, 1_759, 2_113, 2_539, 3_067, 3_613};
    float[] wetLeft = new float[left.length];
    float[] wetRight = new float[left.length];
    for (int n = 0; n < lines.length; n++) {
      float[] line = new float[lines[n]];
      float keep = (float) Math.pow(10, -3.0 * lines[n] / (seconds * Samples.RATE));
      float[] wet = n % 2 == 0 ? wetLeft : wetRight;
      float dull = 0;
      for (int i = 0; i < left.length; i++) {
        int at = i % line.length;
        dull += 0.5f * (line[at] - dull);
        wet[i] += dull;
        line[at] = (left[i] + right[i]) * 0.3f + dull * keep;
      }
    }
    for (int i = 0; i < left.length; i++) {
      left[i] += (float) (share * wetLeft[i]);
      right[i] += (float) (share * wetRight[i]);
    }
    return this;
  }

  /** The samples, with soft ends, so that the highest is at a level. */
  float[] finish(double peakDecibels) {
    double top = 1e-9;
    for (int i = 0; i < left.length; i++) {
      top = Math.max(top, Math.max(Math.abs(left[i]), Math.abs(right[i])));
    }
    double scale = Math.pow(10, peakDecibels / 20) / top;
    float[] stereo = new float[2 * left.length];
    int edge = Samples.RATE / 200;
    for (int i = 0; i < left.length; i++) {
      int near = Math.min(i, left.length - 1 - i);
      double end = near < edge ? 0.5 - 0.5 * Math.cos(Math.PI * near / edge) : 1;
      // What is struck at once begins with the file; only its end is softened.
      double gain = scale * (i < edge ? Math.min(1, (i + 1) / 24.0) : end);
      stereo[2 * i] = (float) (gain * left[i]);
      stereo[2 * i + 1] = (float) (gain * right[i]);
    }
    return stereo;
  }
}
