package app.latethistle.core.music;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.time.Samples;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class SongCorrectionTest {
  private static final BeatGrid GRID = BeatGrid.even(120, 0.5, 41, 4);

  private static long at(double seconds) {
    return Samples.ofSeconds(seconds);
  }

  private static BeatGrid corrected(SongCorrection... corrections) {
    return SongCorrection.all(GRID, List.of(corrections));
  }

  @Test
  void aTempoStaysBetweenTwentyAndThreeHundred() {
    BeatGrid quick = BeatGrid.even(151, 0, 40, 4);
    assertThat(new DoubleTempo().apply(quick)).isSameAs(quick);
    assertThat(new DoubleTempo().apply(BeatGrid.even(149, 0, 40, 4)).size()).isEqualTo(79);
    BeatGrid slow = BeatGrid.even(39, 0, 40, 4);
    assertThat(new HalveTempo().apply(slow)).isSameAs(slow);
    assertThat(new HalveTempo().apply(BeatGrid.even(41, 0, 40, 4)).size()).isEqualTo(20);
  }

  @Test
  void everyBeatGoesHalfWayToTheNext() {
    BeatGrid later = corrected(new HalfBeatLater());
    assertThat(later.size()).isEqualTo(GRID.size());
    assertThat(later.firstDownbeat()).isEqualTo(GRID.firstDownbeat());
    for (int i = 0; i + 1 < GRID.size(); i++) {
      assertThat(later.sampleOf(i)).isEqualTo((GRID.sampleOf(i) + GRID.sampleOf(i + 1)) / 2);
    }
    int last = GRID.size() - 1;
    long gap = GRID.sampleOf(last) - GRID.sampleOf(last - 1);
    assertThat(later.sampleOf(last)).isEqualTo(GRID.sampleOf(last) + gap / 2);
    assertThat(new HalfBeatLater().apply(BeatGrid.EMPTY)).isSameAs(BeatGrid.EMPTY);
  }

  @Test
  void whatIsInDoubtIsSoUntilSomethingIsPutRight() {
    BeatGrid doubtful = GRID.orElse(OtherReading.TWICE_AS_QUICK);
    assertThat(GRID.other()).isEmpty();
    assertThat(doubtful.other()).contains(OtherReading.TWICE_AS_QUICK);
    assertThat(doubtful.samples()).isEqualTo(GRID.samples());
    assertThat(new CountBars(3).apply(doubtful).other()).contains(OtherReading.TWICE_AS_QUICK);
    for (SongCorrection put : List.of(new HalveTempo(), new DoubleTempo(), new HalfBeatLater())) {
      assertThat(put.apply(doubtful).other()).isEmpty();
    }
  }

  @Test
  void halvesAndDoublesAroundTheDownbeat() {
    BeatGrid half = corrected(new HalveTempo());
    assertThat(half.bpm()).isCloseTo(60, within(0.01));
    assertThat(half.sampleOf(half.firstDownbeat())).isEqualTo(GRID.sampleOf(0));
    BeatGrid twice = corrected(new DoubleTempo());
    assertThat(twice.bpm()).isCloseTo(240, within(0.1));
    assertThat(corrected(new DoubleTempo(), new HalveTempo()).samples()).isEqualTo(GRID.samples());
  }

  @Test
  void movesTheDownbeatAndCountsOtherBars() {
    BeatGrid moved = corrected(new MoveDownbeat(at(3.1)));
    assertThat(moved.isDownbeat(5)).isTrue();
    assertThat(moved.firstDownbeat()).isEqualTo(1);
    BeatGrid waltz = corrected(new MoveDownbeat(at(3.1)), new CountBars(3));
    assertThat(waltz.beatsPerBar()).isEqualTo(3);
    assertThat(waltz.isDownbeat(1)).isTrue();
    assertThatIllegalArgumentException()
        .isThrownBy(() -> new CountBars(13))
        .withMessageContaining("2 to 12");
  }

  @Test
  void aBeatStaysBetweenItsNeighbours() {
    BeatGrid moved = corrected(new MoveBeat(at(2.5), at(2.6)));
    assertThat(moved.sampleOf(4)).isEqualTo(at(2.6));
    assertThat(moved.sureness(4)).isEqualTo(1);
    BeatGrid far = corrected(new MoveBeat(at(2.5), at(9)));
    assertThat(far.sampleOf(4)).isEqualTo(GRID.sampleOf(5) - SongCorrection.CLOSEST);
  }

  @Test
  void heldSpansAreEven() {
    BeatGrid uneven = corrected(new MoveBeat(at(2), at(2.1)), new MoveBeat(at(2.5), at(2.4)));
    BeatGrid held = new HoldTempo(at(1), at(4)).apply(uneven);
    assertThat(held.samples()).isEqualTo(GRID.samples());
  }

  @Test
  void sungPartsGrowTogetherAndAreCut() {
    List<SungPart> parts =
        SongCorrection.allSung(
            List.of(new SungPart(at(4), at(6))),
            List.of(
                new MarkSung(at(10), at(12), true),
                new MarkSung(at(5.5), at(10), true),
                new HalveTempo(),
                new MarkSung(at(7), at(8), false)));
    assertThat(parts).containsExactly(new SungPart(at(4), at(7)), new SungPart(at(8), at(12)));
    assertThat(parts.get(0).within(at(6), at(30))).isEqualTo(at(1));
    assertThat(parts.get(0).within(at(7), at(30))).isZero();
    assertThatIllegalArgumentException()
        .isThrownBy(() -> new MarkSung(at(3), at(3), true))
        .withMessageContaining("empty");
  }

  /** Taps on every second heard beat, 80 ms late and not quite even, count those beats. */
  @Test
  void tapsAreTakenWithTheDelayOfTheHand() {
    SplittableRandom random = new SplittableRandom(4);
    List<Long> taps = new ArrayList<>();
    for (int i = 0; i < 9; i++) {
      taps.add(at(4.5 + i + 0.08 + random.nextDouble(-0.02, 0.02)));
    }
    TapBeats tapped = new TapBeats(taps);
    BeatGrid grid = tapped.apply(GRID);
    assertThat(tapped.bpm()).isCloseTo(60, within(0.6));
    assertThat(grid.bpm()).isCloseTo(60, within(0.1));
    for (long beat : grid.samples()) {
      assertThat(GRID.samples()).contains(beat);
    }
    assertThatIllegalArgumentException()
        .isThrownBy(() -> new TapBeats(taps.subList(0, 3)))
        .withMessageContaining("four beats");
  }

  @Test
  void tapsOnASongWithoutBeatsMakeThem() {
    BeatGrid grid = new TapBeats(List.of(at(1), at(1.5), at(2), at(2.5))).apply(BeatGrid.EMPTY);
    assertThat(grid.bpm()).isCloseTo(120, within(0.1));
    assertThat(grid.size()).isGreaterThanOrEqualTo(5);
  }

  /** Whatever is put right in whatever order, beats rise and the grid can be made again. */
  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#many")
  void anyRowOfCorrectionsLeavesAGrid(long seed) {
    SplittableRandom random = new SplittableRandom(seed);
    List<SongCorrection> corrections = new ArrayList<>();
    for (int i = 0; i < 8; i++) {
      long a = at(random.nextDouble(-2, 25));
      long b = at(random.nextDouble(-2, 25));
      corrections.add(
          switch (random.nextInt(7)) {
            case 0 -> random.nextBoolean() ? new HalveTempo() : new HalfBeatLater();
            case 1 -> new DoubleTempo();
            case 2 -> new MoveDownbeat(a);
            case 3 -> new CountBars(random.nextInt(2, 13));
            case 4 -> new MoveBeat(a, b);
            case 5 -> new HoldTempo(a, b);
            default ->
                new TapBeats(List.of(at(5), at(5.4), at(5.9), at(6.3 + random.nextDouble(0.3))));
          });
    }
    BeatGrid once = SongCorrection.all(GRID, corrections);
    assertThat(once.samples()).isSorted().doesNotHaveDuplicates();
    assertThat(SongCorrection.all(GRID, corrections).samples()).isEqualTo(once.samples());
    assertThat(SongCorrection.all(BeatGrid.EMPTY, corrections).beatsPerBar()).isBetween(2, 12);
  }

  @Test
  void aTempoMapTakesThePlaceOfWhatWasHeard() {
    List<Long> beats = List.of(4_800L, 28_800L, 52_800L, 76_800L, 100_800L);
    BeatGrid grid = new FollowTempoMap(beats, 3, 1).apply(BeatGrid.even(100, 0, 20, 4));
    assertThat(grid.samples()).containsExactly(4_800, 28_800, 52_800, 76_800, 100_800);
    assertThat(grid.beatsPerBar()).isEqualTo(3);
    assertThat(grid.isDownbeat(1)).isTrue();
    assertThatIllegalArgumentException()
        .isThrownBy(() -> new FollowTempoMap(List.of(0L, 10L, 9_000L, 20_000L), 4, 0))
        .withMessageContaining("Beats 1 and 2");
  }

  @Test
  void bordersOfSectionsAreAddedAndMovedBetweenTheirNeighbours() {
    List<Section> heard =
        List.of(
            new Section(0, 1000, 'A', Section.Name.OPENING, 0.4),
            new Section(1000, 4000, 'B', Section.Name.FULL, 1));
    List<Section> parts =
        SongCorrection.allSections(heard, List.of(new AddBorder(2000), new MoveBorder(900, 700)));
    assertThat(parts.stream().map(Section::start)).containsExactly(0L, 700L, 2000L);
    assertThat(parts.stream().map(Section::end)).containsExactly(700L, 2000L, 4000L);
    assertThat(parts.stream().map(Section::kind)).containsExactly('A', 'B', 'B');
    assertThat(new MoveBorder(700, 2500).applyTo(parts)).isEqualTo(parts);
    assertThat(new AddBorder(9000).applyTo(parts)).isEqualTo(parts);
    assertThat(parts.stream().map(part -> part.called(parts)))
        .containsExactly("opening", "full B", "full B");
    List<Section> three =
        List.of(
            new Section(0, 1000, 'A', Section.Name.QUIET, 0.2),
            new Section(1000, 4000, 'B', Section.Name.FULL, 0.6),
            new Section(4000, 5000, 'C', Section.Name.CODA, 0.2));
    assertThat(new RemoveBorder(1500).applyTo(three))
        .containsExactly(new Section(0, 4000, 'B', Section.Name.FULL, 0.5), three.get(2));
    assertThat(new RemoveBorder(9000).applyTo(three))
        .containsExactly(three.get(0), new Section(1000, 5000, 'B', Section.Name.FULL, 0.5));
    assertThat(new RemoveBorder(0).applyTo(three.subList(0, 1))).isEqualTo(three.subList(0, 1));
  }
}
