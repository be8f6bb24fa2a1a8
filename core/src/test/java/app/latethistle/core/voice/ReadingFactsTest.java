package app.latethistle.core.voice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.Refused;
import app.latethistle.core.signal.MonoSound;
import app.latethistle.core.time.SampleRange;
import app.latethistle.core.time.Samples;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Readings of bursts of noise between rests whose places are known. */
class ReadingFactsTest {
  private static final int RATE = Samples.RATE;

  /** Noise of a level in dBFS (root mean square). */
  private static void noise(float[] into, double from, double to, double level, Random random) {
    double rms = Math.pow(10, level / 20);
    for (int i = (int) (from * RATE); i < (int) (to * RATE); i++) {
      into[i] += (float) (rms * random.nextGaussian());
    }
  }

  private static SpokenWord word(int number, double from, double to) {
    return new SpokenWord("w" + number, Samples.ofSeconds(from), Samples.ofSeconds(to), 1);
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void restsAreFoundWhereNothingIsSaid(long seed) {
    Random random = new Random(seed);
    List<double[]> rests = new ArrayList<>();
    double at = 0;
    float[] samples = new float[20 * RATE];
    double floor = -75 + 15 * random.nextDouble();
    while (at < 18) {
      double rest = 0.2 + random.nextDouble();
      rests.add(new double[] {at, at + rest});
      double said = 0.3 + random.nextDouble();
      noise(samples, at + rest, Math.min(20, at + rest + said), -20, random);
      at += rest + said;
    }
    float[] reading = java.util.Arrays.copyOf(samples, (int) (Math.min(20, at) * RATE));
    noise(reading, 0, reading.length / (double) RATE, floor, random);
    List<SampleRange> found = Pauses.of(new MonoSound(reading, RATE));
    assertThat(found).hasSize(rests.size());
    for (int i = 0; i < found.size(); i++) {
      assertThat(Samples.toSeconds(found.get(i).start())).isCloseTo(rests.get(i)[0], within(0.021));
      assertThat(Samples.toSeconds(found.get(i).end())).isCloseTo(rests.get(i)[1], within(0.021));
    }
  }

  @Test
  void aClickDoesNotEndARestAndAShortRestIsNone() {
    float[] samples = new float[4 * RATE];
    Random random = new Random(3);
    noise(samples, 0, 4, -80, random);
    noise(samples, 0.5, 1.5, -20, random);
    noise(samples, 2, 2.02, -20, random);
    noise(samples, 2.5, 3, -20, random);
    noise(samples, 3.1, 4, -20, random);
    List<SampleRange> rests = Pauses.of(new MonoSound(samples, RATE));
    assertThat(rests).hasSize(2);
    assertThat(Samples.toSeconds(rests.get(1).start())).isCloseTo(1.5, within(0.021));
    assertThat(Samples.toSeconds(rests.get(1).end())).isCloseTo(2.5, within(0.021));
    assertThat(Pauses.of(new MonoSound(new float[RATE], RATE))).isEmpty();
  }

  @Test
  void measuresPeakClippingAndNoise() {
    float[] samples = new float[3 * RATE];
    Random random = new Random(5);
    noise(samples, 0, 3, -60, random);
    noise(samples, 1, 2, -30, random);
    samples[60_000] = 0.5f;
    ReadingFacts facts = ReadingFacts.of(new MonoSound(samples, RATE), List.of());
    assertThat(facts.peak()).isCloseTo(-6.02, within(0.05));
    assertThat(facts.noise()).isCloseTo(-60, within(1.0));
    assertThat(facts.clipped()).isZero();
    assertThat(facts.wordsPerMinute()).isZero();
    // Two samples at full scale are a loud sample; three are a clip, and go on being one.
    for (int i = 0; i < 12; i++) {
      samples[70_000 + i] = i == 2 ? 0 : -1;
    }
    samples[80_000] = 1;
    samples[80_001] = 1;
    assertThat(ReadingFacts.of(new MonoSound(samples, RATE), List.of()).clipped()).isEqualTo(1);
    ReadingFacts silent = ReadingFacts.of(new MonoSound(new float[RATE], RATE), List.of());
    assertThat(silent.noise()).isEqualTo(-90);
    assertThat(silent.peak()).isEqualTo(-90);
    assertThat(silent.loudness()).isEqualTo(-90);
    assertThatThrownBy(() -> ReadingFacts.of(new MonoSound(samples, 44_100), List.of()))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("44100");
  }

  @Test
  void wordsAMinuteGoFromTheFirstToTheLast() {
    List<SpokenWord> words = List.of(word(0, 1, 1.4), word(1, 2, 2.5), word(2, 3.4, 4));
    assertThat(ReadingFacts.rate(words)).isCloseTo(60, within(1e-9));
    assertThat(ReadingFacts.rate(words.subList(0, 2))).isCloseTo(80, within(1e-9));
    assertThat(ReadingFacts.rate(List.of())).isZero();
  }
}
