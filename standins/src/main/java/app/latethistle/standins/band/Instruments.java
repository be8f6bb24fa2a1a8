package app.latethistle.standins.band;

import java.util.SplittableRandom;

/** The band's instruments, each a voice of one note. */
final class Instruments {
  private Instruments() {}

  static double hertz(int midi) {
    return 440 * Math.pow(2, (midi - 69) / 12.0);
  }

  private static double edge(double t, double length, double attack, double release) {
    double up = Math.min(1, t / attack);
    double down = Math.min(1, Math.max(0, (length - t) / release));
    return up * down;
  }

  /** Reeds of a bellows: two slightly detuned rows, swelling. */
  static Mixdown.Voice bellows(int midi, double length, double bright) {
    double f = hertz(midi);
    return t -> {
      double tremble = 1 + 0.06 * Math.sin(2 * Math.PI * 5.1 * t);
      double sum = 0;
      for (int k = 1; k <= 7; k++) {
        double level = Math.pow(k, -1.5 + 0.5 * bright) * (k % 2 == 0 ? 0.7 : 1);
        sum += level * Math.sin(2 * Math.PI * f * k * t);
        sum += level * 0.8 * Math.sin(2 * Math.PI * f * k * 1.0031 * t + k);
      }
      return sum * 0.22 * tremble * edge(t, length, 0.12, 0.18);
    };
  }

  /** Somebody humming an open vowel. */
  static Mixdown.Voice hum(int midi, double length) {
    double f = hertz(midi);
    return t -> {
      double sway = 1 + 0.004 * Math.sin(2 * Math.PI * 5.4 * t) * Math.min(1, t / 0.4);
      double sum = 0;
      for (int k = 1; k * f < 3600; k++) {
        double hz = k * f;
        double low = Math.exp(-Math.pow((hz - 640) / 190, 2));
        double high = 0.5 * Math.exp(-Math.pow((hz - 1150) / 240, 2));
        sum += (0.12 / k + low + high) * Math.sin(2 * Math.PI * hz * sway * t);
      }
      return 0.5 * sum * edge(t, length, 0.09, 0.15);
    };
  }

  /** A plucked string. */
  static Mixdown.Voice pluck(int midi) {
    double f = hertz(midi);
    return t -> {
      double sum = 0;
      for (int k = 1; k <= 8; k++) {
        sum +=
            Math.exp(-t * (2.2 + 1.7 * k))
                / k
                * Math.sin(2 * Math.PI * f * k * (1 + 0.0004 * k * k) * t);
      }
      return sum * Math.min(1, t / 0.002);
    };
  }

  /** A bell. */
  static Mixdown.Voice bell(int midi) {
    double f = hertz(midi);
    double[] ratio = {0.5, 1, 1.19, 1.5, 2, 2.51, 2.66, 3.01, 4.1};
    double[] level = {0.5, 1, 0.6, 0.4, 0.8, 0.35, 0.3, 0.25, 0.15};
    return t -> {
      double sum = 0;
      for (int k = 0; k < ratio.length; k++) {
        sum +=
            level[k] * Math.exp(-t * (0.7 + 0.55 * k)) * Math.sin(2 * Math.PI * f * ratio[k] * t);
      }
      return 0.4 * sum * Math.min(1, t / 0.003);
    };
  }

  /** A low string bass. */
  static Mixdown.Voice bass(int midi, double length) {
    double f = hertz(midi);
    return t ->
        (Math.sin(2 * Math.PI * f * t)
                + 0.4 * Math.sin(4 * Math.PI * f * t)
                + 0.16 * Math.sin(6 * Math.PI * f * t))
            * Math.exp(-t * 0.9)
            * edge(t, length, 0.008, 0.08);
  }

  /** A bass drum. */
  static Mixdown.Voice kick() {
    return t -> {
      double phase = 2 * Math.PI * (46 * t + 105 / 32.0 * (1 - Math.exp(-32 * t)));
      return Math.sin(phase) * Math.exp(-t * 8.5) + 0.25 * Math.exp(-t * 260);
    };
  }

  /** A low drum of the storm kind. */
  static Mixdown.Voice tom(double hz) {
    return t -> {
      double phase = 2 * Math.PI * (hz * t + hz * 0.5 / 14 * (1 - Math.exp(-14 * t)));
      return Math.sin(phase) * Math.exp(-t * 5.5) + 0.15 * Math.exp(-t * 190);
    };
  }

  /** A snare brushed or struck; noise of its own seed. */
  static Mixdown.Voice snare(long seed, double tight) {
    SplittableRandom random = new SplittableRandom(seed);
    double[] last = new double[2];
    return t -> {
      double noise = random.nextDouble() * 2 - 1;
      double high = noise - last[0];
      last[0] = noise;
      last[1] += 0.5 * (high - last[1]);
      return (0.75 * last[1] + 0.4 * Math.sin(2 * Math.PI * 188 * t) * Math.exp(-t * 26))
          * Math.exp(-t * tight);
    };
  }

  /** A closed hat, or a shaker if long. */
  static Mixdown.Voice hat(long seed, double tight) {
    SplittableRandom random = new SplittableRandom(seed);
    double[] last = new double[2];
    return t -> {
      double noise = random.nextDouble() * 2 - 1;
      double first = noise - last[0];
      last[0] = noise;
      double second = first - last[1];
      last[1] = first;
      return 0.3 * second * Math.exp(-t * tight) * Math.min(1, t / 0.001);
    };
  }

  /** Wind that rises for so long. */
  static Mixdown.Voice riser(long seed, double length) {
    SplittableRandom random = new SplittableRandom(seed);
    double[] state = new double[2];
    return t -> {
      double cut = 0.02 + 0.5 * Math.pow(t / length, 2.2);
      state[0] += cut * (random.nextDouble() * 2 - 1 - state[0]);
      state[1] += cut * (state[0] - state[1]);
      return (state[0] - state[1] * 0.6) * Math.pow(t / length, 1.6) * edge(t, length, 0.05, 0.03);
    };
  }

  /** One deep stroke with a long tail. */
  static Mixdown.Voice boom() {
    return t ->
        Math.sin(2 * Math.PI * (38 * t + 2.2 * (1 - Math.exp(-9 * t)))) * Math.exp(-t * 1.5)
            + 0.3 * Math.exp(-t * 60) * Math.sin(900 * t);
  }
}
