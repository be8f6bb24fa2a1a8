package app.latethistle.core.music;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.signal.MonoSound;
import app.latethistle.core.time.Samples;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class BeatTrackerTest {
  private static final int RATE = 22_050;

  /** Short decaying noise at each time, louder on every {@code perBar}-th. */
  private static MonoSound clicks(List<Double> times, double seconds, int perBar) {
    float[] samples = new float[(int) (seconds * RATE)];
    Random noise = new Random(4);
    for (int i = 0; i < times.size(); i++) {
      int at = (int) Math.round(times.get(i) * RATE);
      boolean strong = i % perBar == 0;
      for (int k = 0; k < 900 && at + k < samples.length; k++) {
        double level = (strong ? 0.9 : 0.45) * Math.exp(-k / 180.0);
        double tone = strong ? Math.sin(2 * Math.PI * 90 * k / RATE) : 0;
        samples[at + k] += (float) (level * (0.5 * noise.nextGaussian() * 0.5 + tone));
      }
    }
    return new MonoSound(samples, RATE);
  }

  private static List<Double> even(double bpm, double first, double seconds) {
    List<Double> times = new ArrayList<>();
    for (int i = 0; first + i * 60 / bpm < seconds - 0.1; i++) {
      times.add(first + i * 60 / bpm);
    }
    return times;
  }

  private static double worst(List<Double> truth, BeatGrid grid) {
    double worst = 0;
    for (double time : truth) {
      double nearest = Double.MAX_VALUE;
      for (int i = 0; i < grid.size(); i++) {
        nearest = Math.min(nearest, Math.abs(Samples.toSeconds(grid.sampleOf(i)) - time));
      }
      worst = Math.max(worst, nearest);
    }
    return worst;
  }

  @ParameterizedTest
  @ValueSource(ints = {66, 72, 80, 92, 100, 108, 120, 128, 140})
  void isExactToFifteenMillisecondsOnClicks(int bpm) {
    List<Double> truth = even(bpm, 0.4, 30);
    BeatGrid grid = BeatTracker.track(clicks(truth, 30, 4));
    assertThat(grid.bpm()).isBetween(bpm * 0.99, bpm * 1.01);
    assertThat(worst(truth, grid)).isLessThan(0.015);
    assertThat(grid.confidence()).isGreaterThan(0.5);
  }

  /** A bare click a second may be counted in halves; then it says so, and is exact. */
  @Test
  void countsSlowClicksOrTwiceAsMany() {
    List<Double> truth = even(60, 0.4, 30);
    BeatGrid grid = BeatTracker.track(clicks(truth, 30, 4));
    assertThat(worst(truth, grid)).isLessThan(0.015);
    if (grid.bpm() > 61) {
      assertThat(grid.bpm()).isCloseTo(120, within(1.2));
      assertThat(grid.other()).contains(OtherReading.HALF_AS_QUICK);
    } else {
      assertThat(grid.bpm()).isCloseTo(60, within(0.6));
    }
  }

  /** Bare clicks as quick as this may be counted in twos; what is counted is exact. */
  @ParameterizedTest
  @ValueSource(ints = {150, 160, 174, 180})
  void countsQuickClicksOrEverySecond(int bpm) {
    List<Double> truth = even(bpm, 0.4, 30);
    BeatGrid grid = BeatTracker.track(clicks(truth, 30, 4));
    double level = bpm / grid.bpm();
    assertThat(level).isCloseTo(Math.rint(level), within(0.02)).isBetween(0.9, 2.1);
    for (int i = 0; i < grid.size(); i++) {
      double at = Samples.toSeconds(grid.sampleOf(i));
      double beat = (at - 0.4) * bpm / 60;
      assertThat(beat).isCloseTo(Math.rint(beat), within(0.015 * bpm / 60));
    }
  }

  @Test
  void whatMayBeCountedInTwoWaysSaysSo() {
    // Equal clicks, ever quicker: from some tempo on every second one is a beat, and where that
    // begins both are said to be possible.
    BeatGrid before = null;
    BeatGrid grid = null;
    for (int bpm = 190; bpm < 300; bpm += 5) {
      grid = BeatTracker.track(clicks(even(bpm, 0.4, 30), 30, 1));
      if (before != null && grid.bpm() < before.bpm()) {
        break;
      }
      before = grid;
    }
    assertThat(grid.bpm()).isLessThan(150);
    assertThat(before.other()).contains(OtherReading.HALF_AS_QUICK);
    assertThat(grid.other()).isPresent();
    BeatGrid plain = BeatTracker.track(clicks(even(110, 0.4, 30), 30, 4));
    assertThat(plain.other()).isEmpty();
    assertThat(grid.confidence()).isLessThan(plain.confidence());
  }

  @Test
  void followsATempoThatDrifts() {
    List<Double> truth = new ArrayList<>();
    for (double t = 0.5; t < 58; t += 60 / (100 + 20 * t / 60)) {
      truth.add(t);
    }
    BeatGrid grid = BeatTracker.track(clicks(truth, 60, 4));
    assertThat(worst(truth, grid)).isLessThan(0.035);
    assertThat(Math.abs(grid.size() - truth.size())).isLessThanOrEqualTo(2);
  }

  @ParameterizedTest
  @ValueSource(ints = {3, 4, 5})
  void findsTheBar(int perBar) {
    List<Double> truth = even(110, 0.3, 40);
    BeatGrid grid = BeatTracker.track(clicks(truth, 40, perBar));
    assertThat(grid.beatsPerBar()).isEqualTo(perBar);
    double downbeat = Samples.toSeconds(grid.sampleOf(grid.firstDownbeat()));
    double bars = (downbeat - 0.3) / (perBar * 60 / 110.0);
    assertThat(Math.abs(bars - Math.rint(bars))).isLessThan(0.1);
  }

  @Test
  void countsAWaltzInThreeThoughEverySecondBarIsStronger() {
    float[] bars = clicks(even(150, 0.3, 40), 40, 3).samples();
    float[] pairs = clicks(even(150, 0.3, 40), 40, 6).samples();
    for (int i = 0; i < bars.length; i++) {
      bars[i] = 0.7f * bars[i] + 0.4f * pairs[i];
    }
    assertThat(BeatTracker.track(new MonoSound(bars, RATE)).beatsPerBar()).isEqualTo(3);
  }

  @Test
  void silenceAndSnippetsHaveNoBeats() {
    assertThat(BeatTracker.track(new MonoSound(new float[RATE * 10], RATE)).size()).isZero();
    assertThat(BeatTracker.track(new MonoSound(new float[RATE / 4], RATE)).size()).isZero();
    assertThatIllegalArgumentException().isThrownBy(() -> new MonoSound(new float[10], 100));
  }

  @Test
  void countsBarsFromTheFirstDownbeat() {
    BeatGrid grid = new BeatGrid(new long[] {0, 10, 20, 30, 40, 50}, new float[6], 4, 2, 0.5);
    assertThat(grid.barOf(0)).isZero();
    assertThat(grid.placeOf(0)).isEqualTo(3);
    assertThat(grid.barOf(2)).isEqualTo(1);
    assertThat(grid.isDownbeat(2)).isTrue();
    assertThat(grid.placeOf(5)).isEqualTo(4);
    assertThat(grid.lastBar()).isEqualTo(1);
    assertThatIllegalArgumentException()
        .isThrownBy(() -> new BeatGrid(new long[] {5, 5}, new float[2], 4, 0, 1));
    assertThatIllegalArgumentException()
        .isThrownBy(() -> new BeatGrid(new long[] {5, 6}, new float[2], 4, 4, 1));
  }
}
