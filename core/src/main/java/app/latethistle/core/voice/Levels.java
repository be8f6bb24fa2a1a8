package app.latethistle.core.voice;

import app.latethistle.core.signal.MonoSound;
import java.util.Arrays;

/** The level of a reading every 10 ms, with its noise and its speech. */
final class Levels {
  /** Levels a second. */
  static final int RATE = 100;

  /** What digital silence counts as, in dBFS. */
  static final double FLOOR = -90;

  /** What is so much louder than the noise, in dB, counts as speech. */
  private static final double OVER = 6;

  private final double[] levels;
  private final double noise;
  private final double speech;

  Levels(MonoSound sound) {
    float[] samples = sound.samples();
    levels = new double[(int) ((long) samples.length * RATE / sound.rate())];
    for (int i = 0; i < levels.length; i++) {
      int from = (int) ((long) i * sound.rate() / RATE);
      int to = (int) ((long) (i + 1) * sound.rate() / RATE);
      double squares = 0;
      for (int k = from; k < to; k++) {
        squares += samples[k] * samples[k];
      }
      levels[i] = Math.max(FLOOR, 10 * Math.log10(squares / (to - from) + 1e-12));
    }
    double[] sorted = levels.clone();
    Arrays.sort(sorted);
    noise = sorted.length == 0 ? FLOOR : sorted[sorted.length / 20];
    double[] over = Arrays.stream(sorted).filter(level -> level > noise + OVER).toArray();
    speech = over.length == 0 ? noise : over[over.length * 3 / 4];
  }

  int length() {
    return levels.length;
  }

  /** The level in dBFS of the 10 ms that begin at {@code index / RATE} seconds. */
  double at(int index) {
    return levels[index];
  }

  /** The level that a twentieth of the reading stays under, in dBFS. */
  double noise() {
    return noise;
  }

  /** The level that a quarter of its speech lies over, in dBFS; the noise if it has none. */
  double speech() {
    return speech;
  }
}
