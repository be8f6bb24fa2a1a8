package app.latethistle.core.music;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.time.Samples;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;

class TwoSongsTest {
  private static final long SECOND = Samples.RATE;

  private static SongParts song(BeatGrid grid, long end) {
    long middle = grid.sampleOf(grid.firstDownbeat() + 4 * grid.beatsPerBar());
    return new SongParts(
        new SongAnalysis(
            grid,
            List.of(
                new Section(0, middle, 'A', Section.Name.OPENING, 0.5),
                new Section(middle, end, 'B', Section.Name.FULL, 1)),
            List.of(new KeyMoment(middle, KeyMoment.Kind.DROP))),
        List.of(new SungPart(middle, middle + SECOND)));
  }

  private static float[] constant(long frames, float value) {
    float[] out = new float[Math.toIntExact(2 * frames)];
    Arrays.fill(out, value);
    return out;
  }

  @RepeatedTest(20)
  void barFollowsBarAcrossTheJoin(RepetitionInfo repetition) {
    Random random = new Random(repetition.getCurrentRepetition());
    int perBar = 2 + random.nextInt(5);
    BeatGrid a = BeatGrid.even(60 + random.nextInt(100), random.nextDouble(), 20 * perBar, perBar);
    BeatGrid b = BeatGrid.even(60 + random.nextInt(100), random.nextDouble(), 15 * perBar, perBar);
    int bars = 1 + random.nextInt(18);
    int from = 1 + random.nextInt(14);
    long end = b.sampleOf(b.size() - 1) + SECOND;
    TwoSongs two = TwoSongs.of(song(a, a.sampleOf(a.size() - 1)), song(b, end), bars, from);
    SongAnalysis made = two.parts(end).heard();

    BeatGrid grid = made.grid();
    int join = bars * perBar;
    assertThat(grid.size()).isEqualTo(join + b.size() - (from - 1) * perBar);
    for (int i = 0; i < grid.size(); i++) {
      long then =
          i < join
              ? a.sampleOf(i)
              : b.sampleOf(i - join + (from - 1) * perBar) - two.enters() + two.leaves();
      assertThat(grid.sampleOf(i)).isEqualTo(then);
    }
    assertThat(grid.isDownbeat(join)).isTrue();
    assertThat(grid.sampleOf(join)).isEqualTo(two.leaves());
    // The parts lie end to end, one song's beside the other's, and nothing opens in the middle.
    List<Section> parts = made.sections();
    assertThat(parts.get(0).start()).isZero();
    for (int i = 1; i < parts.size(); i++) {
      assertThat(parts.get(i).start()).isEqualTo(parts.get(i - 1).end());
      assertThat(parts.get(i).name()).isNotEqualTo(Section.Name.OPENING);
    }
    assertThat(parts.get(parts.size() - 1).end()).isEqualTo(two.length(end));
    assertThat(parts).anyMatch(s -> s.start() == two.leaves());
  }

  @Test
  void partsOfTheTwoAreNotTakenForOneKind() {
    BeatGrid grid = BeatGrid.even(120, 0, 64, 4);
    long end = 34 * SECOND;
    SongParts a = song(grid, end);
    SongParts b = song(BeatGrid.even(100, 0, 64, 4), end);
    List<Section> parts = TwoSongs.of(a, b, 8, 1).parts(end).heard().sections();
    assertThat(parts).extracting(Section::kind).containsExactly('A', 'B', 'C', 'D');
  }

  @Test
  void momentsAndSungPartsMoveWithTheirSong() {
    BeatGrid grid = BeatGrid.even(120, 0, 64, 4);
    long end = 34 * SECOND;
    SongParts made = TwoSongs.of(song(grid, end), song(grid, end), 6, 3).parts(end);
    // The first's at 8 s; the second's at 8 s too, of which 4 s are not heard, after 12 s.
    assertThat(made.heard().moments())
        .extracting(KeyMoment::at)
        .containsExactly(8 * SECOND, 16 * SECOND);
    assertThat(made.sung())
        .containsExactly(
            new SungPart(8 * SECOND, 9 * SECOND), new SungPart(16 * SECOND, 17 * SECOND));
  }

  @Test
  void oneGivesWayToTheOtherOverTheLastBeat() {
    BeatGrid grid = BeatGrid.even(120, 0, 64, 4);
    long end = 34 * SECOND;
    TwoSongs two = TwoSongs.of(song(grid, end), song(grid, end), 4, 3);
    float[] first = two.apply(constant(end, 0.5f), constant(end, 0), 1);
    float[] second = two.apply(constant(end, 0), constant(end, 0.5f), 0.5);
    assertThat(first).hasSize(Math.toIntExact(2 * two.length(end)));
    int join = Math.toIntExact(8 * SECOND);
    int beat = Math.toIntExact(SECOND / 2);
    for (int i = 0; i < first.length / 2; i++) {
      double a = first[2 * i] / 0.5;
      double b = second[2 * i] / 0.25;
      assertThat(a * a + b * b).as("power at %d", i).isCloseTo(1, within(1e-5));
      if (i < join - beat) {
        assertThat(b).isZero();
      } else if (i >= join) {
        assertThat(a).isZero();
      }
    }
  }

  @Test
  void theSecondIsAsLoudAsTheFirstWithinItsHeadroom() {
    float[] half = constant(10, 0.5f);
    assertThat(TwoSongs.gain(-14, -14, half)).isEqualTo(1);
    assertThat(TwoSongs.gain(-20, -14, half)).isCloseTo(0.501, within(0.001));
    assertThat(TwoSongs.gain(-14, -18, half)).isCloseTo(1.585, within(0.001));
    assertThat(TwoSongs.gain(-14, -24, half)).as("no further than full scale").isEqualTo(2);
    assertThat(TwoSongs.gain(-60, -14, half)).isCloseTo(0.251, within(0.001));
    assertThat(TwoSongs.gain(-14, -24, constant(10, 1.2f))).isEqualTo(1);
  }

  @Test
  void saysWhichBarsThereAre() {
    BeatGrid four = BeatGrid.even(120, 0, 64, 4);
    SongParts a = song(four, 34 * SECOND);
    SongParts waltz = song(BeatGrid.even(120, 0, 64, 3), 34 * SECOND);
    assertThatThrownBy(() -> TwoSongs.of(a, a, 16, 1)).hasMessageContaining("after bar 1 to 15");
    assertThatThrownBy(() -> TwoSongs.of(a, a, 0, 1)).hasMessageContaining("not after 0");
    assertThatThrownBy(() -> TwoSongs.of(a, a, 3, 17)).hasMessageContaining("with bar 1 to 16");
    assertThatThrownBy(() -> TwoSongs.of(a, waltz, 3, 1))
        .hasMessageContaining("4 beats to a bar and the second 3");
  }
}
