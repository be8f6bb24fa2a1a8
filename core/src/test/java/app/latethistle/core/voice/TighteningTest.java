package app.latethistle.core.voice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.latethistle.core.Seeds;
import app.latethistle.core.signal.MonoSound;
import app.latethistle.core.time.SampleRange;
import app.latethistle.core.time.Samples;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.stream.LongStream;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class TighteningTest {
  /** A hum with rests, over noise; and where the hum is. */
  private record Spoken(MonoSound sound, List<SpokenWord> words) {}

  private static Spoken spoken(long seed) {
    SplittableRandom random = new SplittableRandom(seed);
    int count = random.nextInt(1, 9);
    List<long[]> spans = new ArrayList<>();
    long at = Samples.ofSeconds(random.nextDouble(0, 1.2));
    for (int i = 0; i < count; i++) {
      long end = at + Samples.ofSeconds(random.nextDouble(0.2, 0.7));
      spans.add(new long[] {at, end});
      at = end + Samples.ofSeconds(random.nextBoolean() ? 0.01 : random.nextDouble(0.1, 1.5));
    }
    float[] samples = new float[(int) at];
    double noise = Math.pow(10, random.nextDouble(-70, -45) / 20);
    for (int i = 0; i < samples.length; i++) {
      samples[i] = (float) (noise * random.nextDouble(-1, 1));
    }
    List<SpokenWord> words = new ArrayList<>();
    for (long[] span : spans) {
      words.add(new SpokenWord("hum", span[0], span[1], 1));
      for (long i = span[0]; i < span[1]; i++) {
        samples[(int) i] += (float) (0.3 * Math.sin(2 * Math.PI * 180 * i / Samples.RATE));
      }
    }
    return new Spoken(new MonoSound(samples, Samples.RATE), words);
  }

  static LongStream seeds() {
    return Seeds.few();
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void leavesNoRestLongerThanWantedAndEveryWordWhole(long seed) {
    Spoken spoken = spoken(seed);
    MonoSound sound = spoken.sound();
    List<SampleRange> pauses = Pauses.of(sound);
    double longest = 0.3;
    Tightening tight =
        Tightening.to(pauses, spoken.words(), longest, spoken.sound().samples().length);
    float[] cut = tight.apply(spoken.sound().samples(), 1);

    assertThat(cut).hasSize((int) (spoken.sound().samples().length - tight.saved()));
    List<SpokenWord> moved = tight.words(spoken.words());
    for (int i = 0; i < moved.size(); i++) {
      SpokenWord before = spoken.words().get(i);
      SpokenWord after = moved.get(i);
      assertThat(after.end() - after.start()).isEqualTo(before.end() - before.start());
      for (long k = 0; k < before.end() - before.start(); k += 97) {
        assertThat(cut[(int) (after.start() + k)])
            .isEqualTo(spoken.sound().samples()[(int) (before.start() + k)]);
      }
      if (i > 0) {
        long rest = after.start() - moved.get(i - 1).end();
        assertThat(Samples.toSeconds(rest)).isLessThan(longest + 0.03);
      }
    }
    assertThat(Samples.toSeconds(moved.get(0).start()))
        .isLessThan(Math.max(Tightening.HEAD, Pauses.SHORTEST) + 0.03);
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void addsNoClick(long seed) {
    Spoken spoken = spoken(seed);
    MonoSound sound = spoken.sound();
    Tightening tight =
        Tightening.to(Pauses.of(sound), spoken.words(), 0.2, spoken.sound().samples().length);
    float[] cut = tight.apply(spoken.sound().samples(), 1);
    float before = steepest(spoken.sound().samples());
    assertThat(steepest(cut)).isLessThanOrEqualTo(before);
  }

  private static float steepest(float[] samples) {
    float most = 0;
    for (int i = 1; i < samples.length; i++) {
      most = Math.max(most, Math.abs(samples[i] - samples[i - 1]));
    }
    return most;
  }

  @Test
  void findsRestsWhereTheyAre() {
    Spoken spoken = spoken(7);
    List<SampleRange> pauses = Pauses.of(spoken.sound());
    List<SampleRange> rests = new ArrayList<>();
    long at = 0;
    for (SpokenWord word : spoken.words()) {
      rests.add(new SampleRange(at, word.start()));
      at = word.end();
    }
    rests.add(new SampleRange(at, spoken.sound().samples().length));
    rests.removeIf(r -> Samples.toSeconds(r.length()) < Pauses.SHORTEST + 0.02);
    assertThat(pauses).hasSameSizeAs(rests);
    for (int i = 0; i < rests.size(); i++) {
      assertThat(pauses.get(i).start()).isCloseTo(rests.get(i).start(), within());
      assertThat(pauses.get(i).end()).isCloseTo(rests.get(i).end(), within());
    }
  }

  private static Offset<Long> within() {
    return Offset.offset(Samples.ofSeconds(0.015));
  }

  @Test
  void silenceHasNoRests() {
    assertThat(Pauses.of(new MonoSound(new float[Samples.RATE], Samples.RATE))).isEmpty();
  }

  @Test
  void refusesARestTooShortToKeep() {
    assertThatThrownBy(() -> Tightening.to(List.of(), List.of(), 0.01, 100))
        .hasMessageContaining("0.01 s is too short");
  }
}
