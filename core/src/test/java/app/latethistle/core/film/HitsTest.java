package app.latethistle.core.film;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.latethistle.core.look.Dial;
import app.latethistle.core.look.Drive;
import app.latethistle.core.look.Drive.Source;
import app.latethistle.core.look.Framing;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.signal.BandLevels;
import app.latethistle.core.signal.MonoSound;
import app.latethistle.core.time.FrameRange;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;

/**
 * On which frames a value is hit, and how it comes to rest. A beat is 12 frames, the first on 6.
 */
class HitsTest {
  private static final FrameRange WHOLE = new FrameRange(0, 120);

  private static Film film() {
    Film film =
        Films.cut(
            List.of(Placement.of("1", "a0", 0, Framing.FILL)), List.of(Tie.free(0), Tie.free(120)));
    return Put.marker(Marker.of("m1", Tie.free(50), "door"))
        .apply(Put.marker(Marker.of("m2", Tie.onBeat(3), "bell")).apply(film));
  }

  private static List<Double> values(Drive drive) {
    return new Hits(Films.resolved(film())).values(Dial.driven(10, drive), WHOLE);
  }

  @Test
  void hitsFallWhereCutsWould() {
    Hits hits = new Hits(Films.resolved(film()));
    assertThat(hits.of(Source.BEATS)).startsWith(6L, 18L, 30L, 42L);
    assertThat(hits.of(Source.DOWNBEATS)).startsWith(6L, 54L, 102L);
    assertThat(hits.of(Source.MARKERS)).containsExactly(42L, 50L);
    assertThat(hits.of(Source.LOW)).isEmpty();
  }

  @Test
  void aValueIsFullOnItsHitAndBackAtRestWhenItsDecayIsOver() {
    List<Double> values = values(Drive.on(Source.DOWNBEATS, 90, 500));
    assertThat(values.get(5)).isEqualTo(10);
    assertThat(values.get(6)).isEqualTo(90);
    // Half of the decay is six frames; a quarter of the way is left then.
    assertThat(values.get(12)).isEqualTo(30);
    assertThat(values.get(18)).isEqualTo(10);
    assertThat(values.get(53)).isEqualTo(10);
    assertThat(values.get(54)).isEqualTo(90);
  }

  @Test
  void anAttackRisesToTheHit() {
    List<Double> values = values(new Drive(Source.MARKERS, 90, 250, 0));
    assertThat(values.get(36)).isEqualTo(10);
    assertThat(values.get(39)).isEqualTo(50);
    assertThat(values.get(42)).isEqualTo(90);
    assertThat(values.get(43)).as("before the next one, 7 frames off").isEqualTo(10);
    assertThat(values.get(51)).isEqualTo(10);
  }

  @Test
  void aPartOfTheFilmHasTheValuesItHasInTheWhole() {
    Hits hits = new Hits(Films.resolved(film()));
    for (Source source : List.of(Source.BEATS, Source.MARKERS)) {
      Dial dial = Dial.driven(0, new Drive(source, 100, 100, 900));
      assertThat(hits.values(dial, new FrameRange(31, 77)))
          .isEqualTo(hits.values(dial, WHOLE).subList(31, 77));
    }
  }

  @Test
  void stressedWordsAreHitsAndOthersAreNot() {
    Clocks clocks = new Clocks(Films.GRID, Voices.at("the bell is late", 0.2, 1));
    Resolved film = Resolved.of(film(), clocks, Films.RATE, Films.takes());
    Hits hits = new Hits(film);
    List<Long> spoken =
        film.cutting().voice().lines().get(0).words().stream()
            .filter(w -> List.of("bell", "late").contains(w.text()))
            .map(w -> film.rate().nearestFrame(w.at().start()))
            .toList();
    assertThat(hits.of(Source.WORDS)).containsExactlyElementsOf(spoken);
  }

  @Test
  void aValueFollowsOneWordWhereverItsLineIsSpoken() {
    Clocks clocks = new Clocks(Films.GRID, Voices.at("the bell is late", 0.2, 1));
    Resolved film = Resolved.of(film(), clocks, Films.RATE, Films.takes());
    VoiceClock.Spoken line = film.cutting().voice().lines().get(0);
    int late = 3;
    long spoken = film.rate().nearestFrame(line.words().get(late).at().start());
    Drive drive = Drive.on(new Drive.Word(line.id(), late), 90, 0);
    List<Double> values = new Hits(film).values(Dial.driven(10, drive), WHOLE);
    assertThat(values.get((int) spoken)).isEqualTo(90);
    assertThat(values).filteredOn(v -> v != 10).hasSize(1);
    Drive gone = Drive.on(new Drive.Word(line.id(), 4), 90, 0);
    assertThat(new Hits(film).values(Dial.driven(10, gone), WHOLE)).containsOnly(10.0);
  }

  @Test
  void aWordIsNamedWhereOneIsFollowedAndNowhereElse() {
    assertThatThrownBy(() -> new Drive(Source.WORD, 90, 0, 0)).hasMessageContaining("which word");
    Optional<Drive.Word> word = Optional.of(new Drive.Word("line", 0));
    assertThatThrownBy(() -> new Drive(Source.BEATS, word, 90, 0, 0)).hasMessageContaining("BEATS");
    assertThatThrownBy(() -> new Drive.Word("line", -1)).hasMessageContaining("no word -1");
  }

  @Test
  void aValueFollowsABandOfTheSong() {
    // Two seconds of a low tone, one of nothing, two of a high one.
    float[] samples = new float[5 * 24_000];
    for (int i = 0; i < samples.length; i++) {
      double hertz = i < 48_000 ? 80 : i < 72_000 ? 0 : 5000;
      samples[i] = (float) (0.5 * Math.sin(2 * Math.PI * hertz * i / 24_000));
    }
    BandLevels levels = BandLevels.of(new MonoSound(samples, 24_000));
    Clocks clocks = new Clocks(Films.GRID, Narration.EMPTY, () -> levels);
    Resolved film = Resolved.of(film(), clocks, Films.RATE, Films.takes());
    Hits hits = new Hits(film);
    List<Double> low = hits.values(Dial.driven(0, new Drive(Source.LOW, 100, 0, 100)), WHOLE);
    List<Double> high = hits.values(Dial.driven(0, new Drive(Source.HIGH, 100, 0, 0)), WHOLE);
    assertThat(low.subList(3, 45)).allSatisfy(v -> assertThat(v).isGreaterThan(95));
    assertThat(low.subList(60, 120)).allSatisfy(v -> assertThat(v).isLessThan(5));
    assertThat(low.get(50)).as("falling").isBetween(20.0, 80.0);
    assertThat(high.subList(3, 45)).allSatisfy(v -> assertThat(v).isLessThan(5));
    assertThat(high.subList(75, 115)).allSatisfy(v -> assertThat(v).isGreaterThan(95));
    FrameRange part = new FrameRange(40, 60);
    List<Double> alone = hits.values(Dial.driven(0, new Drive(Source.LOW, 100, 0, 100)), part);
    for (int i = 0; i < alone.size(); i++) {
      assertThat(alone.get(i)).isCloseTo(low.get(40 + i), Offset.offset(1.0));
    }
  }

  @Test
  void nothingMovesWithoutAClock() {
    Film film = film();
    Resolved silent = Resolved.of(film, Clocks.of(BeatGrid.EMPTY), Films.RATE, Map.of());
    assertThat(new Hits(silent).values(Dial.driven(3, Drive.on(Source.BEATS, 9, 100)), WHOLE))
        .isEqualTo(Collections.nCopies(120, 3.0));
  }
}
