package app.latethistle.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.time.SampleRange;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Silence and clicks are found where they are, and nowhere else. */
class SoundTraceTest {
  private static final int RATE = 48_000;

  /** Some notes over a little noise, each with a quick beginning, as music has. */
  private static float[] music(int seed, int seconds) {
    Random random = new Random(seed);
    float[] stereo = new float[2 * RATE * seconds];
    for (int note = 0; note < 4 * seconds; note++) {
      double pitch = 110 * Math.pow(2, random.nextInt(36) / 12.0);
      int start = note * RATE / 4;
      double loud = 0.05 + 0.2 * random.nextDouble();
      for (int i = 0; i < RATE && start + i < RATE * seconds; i++) {
        double wave = 0;
        for (int h = 1; h <= 5; h++) {
          wave += Math.sin(2 * Math.PI * pitch * h * i / RATE) / h;
        }
        double gain = loud * Math.min(1, i / 100.0) * Math.exp(-3.0 * i / RATE);
        stereo[2 * (start + i)] += (float) (gain * wave);
        stereo[2 * (start + i) + 1] += (float) (gain * wave * 0.8);
      }
    }
    for (int i = 0; i < stereo.length; i++) {
      stereo[i] += (float) (0.002 * random.nextGaussian());
    }
    return stereo;
  }

  private static SoundTrace heard(float[] stereo) {
    SoundTrace.Reader reader = new SoundTrace.Reader();
    int at = 0;
    while (at < stereo.length / 2) {
      int count = Math.min(1000, stereo.length / 2 - at);
      float[] block = new float[2 * count];
      System.arraycopy(stereo, 2 * at, block, 0, 2 * count);
      reader.add(block, count);
      at += count;
    }
    return reader.trace();
  }

  @Test
  void musicHasNeitherClicksNorSilence() {
    for (int seed = 0; seed < 6; seed++) {
      SoundTrace trace = heard(music(seed, 6));
      assertThat(trace.clicks()).isEmpty();
      assertThat(trace.silent()).isEmpty();
      assertThat(trace.length()).isEqualTo(6L * RATE);
    }
  }

  /** Samples gone wrong, a jump where two parts meet badly, a few samples that were lost. */
  @Test
  void clicksAreFoundNearTheirSample() {
    for (int seed = 0; seed < 6; seed++) {
      Random random = new Random(100 + seed);
      float[] stereo = music(seed, 6);
      int wrong = RATE + random.nextInt(RATE);
      stereo[2 * wrong] += 0.5f;
      int lost = 4 * RATE + random.nextInt(RATE);
      for (int i = 0; i < 20; i++) {
        stereo[2 * (lost + i)] = 0.3f;
        stereo[2 * (lost + i) + 1] = 0.3f;
      }
      SoundTrace trace = heard(stereo);
      assertThat(trace.clicks()).anyMatch(c -> Math.abs(c - wrong) <= 48);
      assertThat(trace.clicks()).anyMatch(c -> Math.abs(c - lost) <= 48);
      assertThat(trace.clicks().size()).isLessThanOrEqualTo(3);
    }
  }

  @Test
  void silenceIsFoundToTheSample() {
    float[] stereo = music(1, 4);
    java.util.Arrays.fill(stereo, 2 * RATE, 2 * (RATE + 30_000), 0);
    assertThat(heard(stereo).silent())
        .anyMatch(s -> Math.abs(s.start() - RATE) < 200 && Math.abs(s.end() - RATE - 30_000) < 200);
    assertThat(heard(new float[2 * RATE]).silent()).containsExactly(new SampleRange(0, RATE));
  }
}
