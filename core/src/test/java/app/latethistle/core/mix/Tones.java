package app.latethistle.core.mix;

import java.util.Map;
import java.util.Random;

/** Sounds in memory, for tests. */
record Tones(Map<String, float[]> sounds) implements SoundSource {
  /** Noise of a length, soft enough that a few of them together stay under the limit. */
  static float[] noise(long seed, int samples, int channels) {
    Random random = new Random(seed);
    float[] noise = new float[samples * channels];
    for (int i = 0; i < noise.length; i++) {
      noise[i] = (random.nextFloat() - 0.5f) / 20;
    }
    return noise;
  }

  /** A sine on both sides. */
  static float[] sine(double hertz, double peak, double phaseDegrees, int samples) {
    float[] sine = new float[2 * samples];
    for (int i = 0; i < samples; i++) {
      double angle = 2 * Math.PI * hertz * i / 48_000 + Math.toRadians(phaseDegrees);
      sine[2 * i] = (float) (peak * Math.sin(angle));
      sine[2 * i + 1] = sine[2 * i];
    }
    return sine;
  }

  @Override
  public Sound open(String media, int channels) {
    float[] samples = sounds.get(media);
    return new Sound() {
      @Override
      public int channels() {
        return channels;
      }

      @Override
      public long length() {
        return samples.length / channels;
      }

      @Override
      public void read(long from, float[] target, int frames) {
        for (int i = 0; i < frames * channels; i++) {
          long at = from * channels + i;
          target[i] = at >= 0 && at < samples.length ? samples[(int) at] : 0;
        }
      }

      @Override
      public void close() {}
    };
  }
}
