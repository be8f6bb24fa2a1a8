package app.latethistle.core.music;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.latethistle.core.signal.MonoSound;
import app.latethistle.core.time.Samples;
import java.util.Comparator;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SongLengthTest {
  private static final int RATE = 22_050;
  private static final double BEAT = 0.5;
  private static final int BARS = 32;

  /**
   * Bars of four chords over and over, each beat a decaying tone; every bar of a kind sounds alike.
   */
  private static MonoSound song() {
    double[] chords = {220, 293.66, 329.63, 246.94};
    float[] samples = new float[(int) ((BARS * 4 * BEAT + 1.5) * RATE)];
    for (int beat = 0; beat < BARS * 4; beat++) {
      double hz = chords[beat / 4 % 4] * (beat % 4 == 0 ? 1 : 2);
      int from = (int) (beat * BEAT * RATE);
      for (int i = 0; i < RATE && from + i < samples.length; i++) {
        double t = (double) i / RATE;
        samples[from + i] += (float) (0.4 * Math.exp(-5 * t) * Math.sin(2 * Math.PI * hz * t));
      }
    }
    return new MonoSound(samples, RATE);
  }

  private static final BeatGrid GRID = BeatGrid.even(120, 0, BARS * 4, 4);

  @ParameterizedTest
  @ValueSource(doubles = {24, 33.4, 45, 61.2, 65, 90, 130})
  void isExactlyAsLongAsWantedWithItsOpeningAndItsEnding(double seconds) {
    List<SongPlan> plans = SongLength.plans(song(), GRID, Samples.ofSeconds(seconds));
    for (SongPlan plan : plans) {
      assertThat(plan.length()).isEqualTo(Samples.ofSeconds(seconds));
      assertThat(plan.kept().get(0).start()).isZero();
      assertThat(plan.kept().get(0).firstBar()).isEqualTo(1);
      assertThat(plan.kept().get(plan.kept().size() - 1).lastBar()).isEqualTo(BARS);
      assertThat(plan.joins()).hasSize(plan.kept().size() - 1);
      for (SongPlan.Kept kept : plan.kept()) {
        assertThat(kept.lastBar() - kept.firstBar()).isGreaterThanOrEqualTo(3);
      }
      long sum = plan.kept().stream().mapToLong(k -> k.end() - k.start()).sum();
      assertThat(Math.abs(Samples.toSeconds(sum - plan.length()))).isLessThan(4 * BEAT + 0.01);
    }
    assertThat(plans).isSortedAccordingTo(Comparator.comparingDouble(SongPlan::cost));
  }

  @Test
  void joinsWhereTheBarsAreAlike() {
    SongPlan plan = SongLength.plans(song(), GRID, Samples.ofSeconds(33.5)).get(0);
    assertThat(plan.joins()).isNotEmpty();
    for (int k = 1; k < plan.kept().size(); k++) {
      int left = plan.kept().get(k).firstBar() - plan.kept().get(k - 1).lastBar() - 1;
      assertThat(Math.floorMod(left, 4)).as("bars left out at join %d", k).isZero();
      assertThat(plan.joins().get(k - 1).cost()).isLessThan(0.1);
    }
  }

  @Test
  void offersWaysThatDiffer() {
    List<SongPlan> plans = SongLength.plans(song(), GRID, Samples.ofSeconds(41.5));
    assertThat(plans).hasSize(SongLength.OFFERED);
    assertThat(plans.stream().map(SongPlan::kept).distinct()).hasSize(SongLength.OFFERED);
  }

  @Test
  void theGridAndTheSoundFollow() {
    MonoSound song = song();
    SongPlan plan = SongLength.plans(song, GRID, Samples.ofSeconds(41.5)).get(0);
    SongParts known = new SongParts(new SongAnalysis(GRID, List.of(), List.of()), List.of());
    BeatGrid grid = plan.parts(known).heard().grid();
    for (int i = 1; i < grid.size(); i++) {
      assertThat(Samples.toSeconds(grid.sampleOf(i) - grid.sampleOf(i - 1))).isEqualTo(BEAT);
    }
    float[] stereo = new float[Math.toIntExact(Samples.ofSeconds(song.seconds()) * 2)];
    for (int i = 0; i < stereo.length / 2; i++) {
      float value =
          song.samples()[
              (int) Math.min(song.samples().length - 1L, (long) i * RATE / Samples.RATE)];
      stereo[2 * i] = value;
      stereo[2 * i + 1] = value;
    }
    float[] made = plan.apply(stereo);
    assertThat(made).hasSize(Math.toIntExact(plan.length() * 2));
    // Around a join the result is as the song is around the same place of another round.
    long at = plan.joins().get(0).at();
    long like = plan.kept().get(1).start();
    double apart = 0;
    double power = 0;
    for (int i = -4000; i < 4000; i++) {
      double a = made[Math.toIntExact(2 * (at + i))];
      double b = stereo[Math.toIntExact(2 * (like + i))];
      apart += (a - b) * (a - b);
      power += b * b;
    }
    assertThat(apart / power).isLessThan(0.05);
  }

  @Test
  void saysWhatCannotBeReached() {
    MonoSound song = song();
    assertThatThrownBy(() -> SongLength.plans(song, GRID, Samples.ofSeconds(6)))
        .hasMessageContaining("6.0 s are too short")
        .hasMessageContaining("the least is");
    BeatGrid few = BeatGrid.even(120, 0, 16, 4);
    assertThatThrownBy(() -> SongLength.plans(song, few, Samples.ofSeconds(20)))
        .hasMessageContaining("fewer than 8 bars");
  }
}
