package app.latethistle.standins.painter;

import app.latethistle.core.time.Samples;
import java.util.Optional;
import java.util.SplittableRandom;

/** What is heard in the scenes that sound: wind in the storm, the burner, a knock at the door. */
final class SceneSound {
  private final float[] samples;
  private final SplittableRandom random;

  private SceneSound(double seconds, long seed) {
    samples = new float[(int) Samples.ofSeconds(seconds)];
    random = new SplittableRandom(seed);
  }

  /** The sound of a clip, mono at 48 kHz; empty for the scenes that are silent. */
  static Optional<float[]> of(Clip clip) {
    SceneSound sound = new SceneSound(clip.seconds(), clip.seed());
    switch (clip.scene()) {
      case STORM -> sound.wind();
      case BASKET_LIFTS -> sound.burner();
      case DOOR_SEVEN -> sound.knocks();
      default -> {
        return Optional.empty();
      }
    }
    return Optional.of(sound.samples);
  }

  /** Low noise in gusts, with rain over it. */
  private void wind() {
    double low = 0;
    double lower = 0;
    for (int i = 0; i < samples.length; i++) {
      double t = (double) i / Samples.RATE;
      double noise = noise();
      double gust = 0.55 + 0.3 * Math.sin(1.9 * t) + 0.15 * Math.sin(4.7 * t + 1);
      low += (0.01 + 0.03 * gust) * (noise - low);
      lower += 0.02 * (low - lower);
      samples[i] = (float) (edge(t) * (2.2 * gust * (low - 0.3 * lower) + 0.012 * noise));
    }
  }

  /** Two bursts of a flame. */
  private void burner() {
    double low = 0;
    for (int i = 0; i < samples.length; i++) {
      double t = (double) i / Samples.RATE;
      low += 0.12 * (noise() - low);
      double burst = burst(t - 0.6, 1.3) + burst(t - 3, 1.1);
      samples[i] = (float) (0.9 * burst * low + 0.01 * edge(t) * low);
    }
  }

  private static double burst(double t, double length) {
    return t < 0 || t > length ? 0 : Math.min(1, t / 0.05) * Math.min(1, (length - t) / 0.4);
  }

  /** Three knuckles on wood. */
  private void knocks() {
    for (double at : new double[] {1.2, 1.5, 1.95}) {
      int from = (int) Samples.ofSeconds(at);
      for (int i = from; i < samples.length && i < from + Samples.RATE / 3; i++) {
        double t = (double) (i - from) / Samples.RATE;
        double wood = Math.sin(2 * Math.PI * 172 * t) + 0.5 * Math.sin(2 * Math.PI * 419 * t);
        samples[i] += (float) (0.5 * wood * Math.exp(-t * 34) + 0.3 * noise() * Math.exp(-t * 400));
      }
    }
  }

  private double noise() {
    return 2 * random.nextDouble() - 1;
  }

  /** Rises and falls at the ends, in a tenth of a second. */
  private double edge(double t) {
    double left = (double) samples.length / Samples.RATE - t;
    return Math.min(1, Math.min(t, left) / 0.1);
  }
}
