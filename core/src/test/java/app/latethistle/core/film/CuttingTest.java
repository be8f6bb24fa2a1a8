package app.latethistle.core.film;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.look.Framing;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.time.FrameRate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

class CuttingTest {
  private static Film film(Tie... joints) {
    List<Placement> placements = new ArrayList<>();
    for (int i = 0; i + 1 < joints.length; i++) {
      placements.add(Placement.of("s" + i, "a" + i, 0, Framing.FILL));
    }
    return Films.cut(placements, List.of(joints));
  }

  @ParameterizedTest
  @ValueSource(strings = {"24", "24000/1001", "25", "30000/1001", "60"})
  void cutsFallOnTheirBeatsNearestFrameHoweverLongTheFilm(String written) {
    FrameRate rate = FrameRate.parse(written);
    BeatGrid grid = BeatGrid.even(92.7, 0.031, 4000, 4);
    Tie[] joints = new Tie[1000];
    joints[0] = Tie.free(0);
    for (int i = 1; i < joints.length; i++) {
      joints[i] = Tie.onBeat(4 * i);
    }
    Cutting cutting = Cutting.of(film(joints), grid, rate, Map.of());
    for (int i = 1; i < joints.length; i++) {
      double beat = 0.031 + 4 * i * 60 / 92.7;
      double frame = cutting.frames().get(i) / rate.perSecond();
      assertThat(Math.abs(frame - beat)).isLessThanOrEqualTo(0.5 / rate.perSecond() + 1e-4);
    }
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#many")
  void framesRiseWhateverIsAskedAndWhatIsMovedIsReported(long seed) {
    Random random = new Random(seed);
    Film film = Films.film(random);
    for (int i = 0; i < 15; i++) {
      film = Films.edit(film, random).apply(film);
    }
    Cutting cutting = Cutting.of(film, Films.GRID, Films.RATE, Films.takes());
    for (int j = 1; j < cutting.frames().size(); j++) {
      assertThat(cutting.frames().get(j)).isGreaterThan(cutting.frames().get(j - 1));
      long asked = asked(film, j);
      int place = j - 1;
      boolean reported =
          cutting.problems().stream()
              .anyMatch(p -> p.kind() == Cutting.Kind.TIE_NOT_HONOURED && p.place() == place);
      assertThat(reported).isEqualTo(asked != cutting.frames().get(j));
    }
  }

  private static long asked(Film film, int joint) {
    if (film.ties().get(joint) instanceof Tie.OnBeat on) {
      return Cutting.frameOfBeat(on.beat(), film.music(), Films.GRID, Films.RATE) + on.offset();
    }
    return ((Tie.Free) film.ties().get(joint)).frame();
  }

  @Test
  void tellsHowManyFramesAShotIsShort() {
    Cutting cutting =
        Cutting.of(
            film(Tie.free(0), Tie.free(124), Tie.free(200)), Films.GRID, Films.RATE, Films.takes());
    assertThat(cutting.problems())
        .containsExactly(new Cutting.Problem(Cutting.Kind.OUT_OF_MATERIAL, 0, 4));
  }

  @Test
  void tellsWhenAShorterSongHasNoSuchBeat() {
    BeatGrid shorter = BeatGrid.even(120, 0.25, 10, 4);
    Cutting cutting =
        Cutting.of(
            film(Tie.free(0), Tie.onBeat(4), Tie.onBeat(20)), shorter, Films.RATE, Films.takes());
    assertThat(cutting.problems())
        .containsExactly(new Cutting.Problem(Cutting.Kind.BEAT_MISSING, 1, 0));
    assertThat(cutting.frames()).containsExactly(0L, 54L, 55L);
  }

  @Test
  void tellsWhenATakeIsGone() {
    Cutting cutting = Cutting.of(film(Tie.free(0), Tie.free(10)), Films.GRID, Films.RATE, Map.of());
    assertThat(cutting.problems())
        .containsExactly(new Cutting.Problem(Cutting.Kind.TAKE_MISSING, 0, 0));
  }

  @Test
  void findsTheShotOnScreen() {
    Cutting cutting =
        Cutting.of(
            film(Tie.free(0), Tie.free(10), Tie.free(30)), Films.GRID, Films.RATE, Films.takes());
    assertThat(cutting.placeAt(0)).isZero();
    assertThat(cutting.placeAt(9)).isZero();
    assertThat(cutting.placeAt(10)).isEqualTo(1);
    assertThat(cutting.placeAt(500)).isEqualTo(1);
    assertThat(cutting.length()).isEqualTo(30);
    assertThat(Cutting.of(Film.EMPTY, Films.GRID, Films.RATE, Map.of()).placeAt(0)).isEqualTo(-1);
  }

  @Test
  void theFilmFollowsTheSongsStart() {
    Film film = film(Tie.free(0), Tie.onBeat(8));
    Film later = film.withMusic(new SongUse(24_000));
    long before = Cutting.of(film, Films.GRID, Films.RATE, Films.takes()).length();
    long after = Cutting.of(later, Films.GRID, Films.RATE, Films.takes()).length();
    assertThat(before - after).isEqualTo(12);
  }
}
