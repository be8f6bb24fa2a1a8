package app.latethistle.core.mix;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.signal.TruePeak;
import app.latethistle.core.sound.Bus;
import app.latethistle.core.time.SampleRange;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class LimiterTest {
  private static final int FRAMES = 24_000;

  private static float truePeak(float[] stereo) {
    float[] peaks = new float[stereo.length / 2];
    TruePeak.of(stereo, 0, peaks);
    float most = 0;
    for (int i = TruePeak.TAPS; i < peaks.length - TruePeak.TAPS; i++) {
      most = Math.max(most, peaks[i]);
    }
    return most;
  }

  private static double decibels(double peak) {
    return 20 * Math.log10(peak);
  }

  /** The true-peak signals of EBU Tech 3341 (2016), table 1, numbers 15 to 19, and their limits. */
  @ParameterizedTest
  @CsvSource({
    "12000, 0, 0.5, -6.0",
    "12000, 45, 0.5, -6.0",
    "8000, 60, 0.5, -6.0",
    "6000, 67.5, 0.5, -6.0",
    "12000, 45, 1.41, 3.0"
  })
  void truePeaksAreThoseOfTheStandardsSignals(
      double hertz, double phase, double peak, double expected) {
    double measured = decibels(truePeak(Tones.sine(hertz, peak, phase, FRAMES)));
    assertThat(measured).isBetween(expected - 0.4, expected + 0.2);
  }

  private static float[] limited(float[] stereo) throws IOException {
    Part part =
        new Part(
            Bus.MUSIC, "loud", new SampleRange(0, stereo.length / 2), new Course.Straight(0), 0);
    float[] out = new float[stereo.length];
    int[] at = {0};
    try (Mixer mixer =
        new Mixer(
            new Mix(List.of(part), stereo.length / 2, 0), new Tones(Map.of("loud", stereo)))) {
      mixer.mix(
          part.at(),
          (block, frames) -> {
            System.arraycopy(block, 0, out, at[0], 2 * frames);
            at[0] += 2 * frames;
          });
    }
    return out;
  }

  @Test
  void whatIsNotTooLoudStaysAsItIs() throws IOException {
    float[] soft = Tones.sine(997, 0.88, 0, FRAMES);
    assertThat(limited(soft)).isEqualTo(soft);
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void nothingComesOverTheCeiling(long seed) throws IOException {
    Random random = new Random(seed);
    float[] loud = Tones.sine(200 + random.nextInt(12_000), 0.3, random.nextInt(90), FRAMES);
    for (int i = 0; i < 6; i++) {
      int from = random.nextInt(FRAMES - 2_000);
      double gain = 2 + random.nextInt(20);
      for (int k = 2 * from; k < 2 * (from + 1 + random.nextInt(1_500)); k++) {
        loud[k] *= (float) gain;
      }
    }
    float[] limited = limited(loud);
    assertThat(decibels(truePeak(limited))).isLessThanOrEqualTo(Limiter.CEILING + 1e-3);
    // Away from what is too loud nothing is touched, and nothing is made louder.
    for (int i = 0; i < loud.length; i++) {
      assertThat(Math.abs(limited[i])).isLessThanOrEqualTo(Math.abs(loud[i]) + 1e-6f);
    }
  }

  @Test
  void itLowersSmoothlyAroundAPeakAndNoMoreThanItMust() throws IOException {
    float[] one = Tones.sine(1_000, 0.5, 0, FRAMES);
    one[2 * 12_000] = 1.5f;
    float[] limited = limited(one);
    assertThat(limited[2 * 12_000]).isCloseTo(0.886f, within(0.02f));
    int first = 0;
    while (limited[first] == one[first]) {
      first++;
    }
    int last = one.length - 1;
    while (limited[last] == one[last]) {
      last--;
    }
    assertThat(12_000 - first / 2).isBetween(900, 1_000);
    assertThat(last / 2 - 12_000).isBetween(900, 1_000);
  }

  /**
   * Around one loud sample in something soft the gain is the integral of a raised cosine over what
   * its window shares with the 10 ms on either side of the peak.
   */
  @ParameterizedTest
  @CsvSource({"0", "200", "480", "600", "800", "-480", "-700"})
  void theGainAroundAPeakIsThatOfARaisedCosine(int distance) throws IOException {
    float[] soft = new float[2 * FRAMES];
    java.util.Arrays.fill(soft, 0.01f);
    soft[2 * 12_000 + 1] = -2;
    float[] limited = limited(soft);
    double needed = Math.pow(10, -1.05 / 20) / 2;
    double x = (Math.abs(distance) - 480) / 481.0;
    double shared = x <= -1 ? 1 : 0.5 * (1 - x) - Math.sin(Math.PI * x) / (2 * Math.PI);
    double gain = limited[2 * (12_000 + distance)] / 0.01;
    assertThat(gain).isCloseTo(1 - (1 - needed) * shared, within(3e-3));
    // Both sides are lowered alike, so that nothing moves to the side.
    if (distance != 0) {
      assertThat(limited[2 * (12_000 + distance) + 1]).isEqualTo(limited[2 * (12_000 + distance)]);
    }
  }

  @Test
  void thePeakItselfComesToTheCeilingLessItsSafety() throws IOException {
    float[] one = new float[2 * FRAMES];
    one[2 * 12_000] = 3;
    assertThat(limited(one)[2 * 12_000]).isCloseTo((float) Math.pow(10, -1.05 / 20), within(1e-5f));
  }
}
