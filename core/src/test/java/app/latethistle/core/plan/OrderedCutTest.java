package app.latethistle.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import app.latethistle.core.film.Cutting;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Tie;
import app.latethistle.core.film.VoiceClock;
import app.latethistle.core.look.EndFade;
import app.latethistle.core.look.Framing;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class OrderedCutTest {
  private final OrderedCut planner = new OrderedCut();

  private static CutPlanner.Wanted wanted(int i, long frames) {
    return CutPlanner.Wanted.of(Placement.of("s" + i, "t" + i, 0, Framing.FILL), frames);
  }

  private static List<CutPlanner.Wanted> wanted(int count) {
    List<CutPlanner.Wanted> shots = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      shots.add(wanted(i, 150));
    }
    return shots;
  }

  private static CutPlanner.Request request(
      List<CutPlanner.Wanted> shots, BeatGrid grid, long start, FrameRate rate, long length) {
    return new CutPlanner.Request(
        shots,
        new CutPlanner.Music(grid, List.of(), List.of(), start),
        VoiceClock.SILENT,
        rate,
        length,
        Pace.EVEN);
  }

  private static CutPlanner.Request request(Random random) {
    FrameRate[] rates = {
      FrameRate.FPS_24, FrameRate.of(24000, 1001), FrameRate.of(25, 1), FrameRate.of(30, 1)
    };
    FrameRate rate = rates[random.nextInt(rates.length)];
    double bpm = 60 + random.nextInt(120);
    BeatGrid grid = BeatGrid.even(bpm, random.nextDouble() * 2, 400, random.nextBoolean() ? 4 : 3);
    List<CutPlanner.Wanted> shots = new ArrayList<>();
    int n = 1 + random.nextInt(25);
    for (int i = 0; i < n; i++) {
      shots.add(wanted(i, 60 + random.nextInt(200)));
    }
    return request(
        shots, grid, random.nextInt(96_000), rate, rate.framesIn(15 + random.nextInt(60)));
  }

  private static List<Long> frames(CutPlanner.Request request, Film film) {
    return Cutting.of(film, request.music().grid(), request.rate(), Map.of()).frames();
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#many")
  void cutsSitOnBeatsEndOnABarAndNoShotRunsOut(long seed) {
    CutPlanner.Request request = request(new Random(seed));
    CutPlan plan = planner.plan(request);
    Film film = plan.film();
    List<Long> frames = frames(request, film);
    assertThat(film.placements().size() + plan.leftOut().size()).isEqualTo(request.shots().size());
    for (int j = 1; j < frames.size(); j++) {
      assertThat(film.ties().get(j)).isInstanceOf(Tie.OnBeat.class);
      assertThat(((Tie.OnBeat) film.ties().get(j)).offset()).isZero();
    }
    for (int i = 0; i < film.placements().size(); i++) {
      Placement placement = film.placements().get(i);
      long length = frames.get(i + 1) - frames.get(i);
      long material =
          request.shots().get(Integer.parseInt(placement.shot().substring(1))).usable().length();
      assertThat(placement.in()).isNotNegative();
      assertThat(placement.in() + length).isLessThanOrEqualTo(material);
    }
    long end = frames.get(frames.size() - 1);
    assertThat(end).isLessThanOrEqualTo(request.length());
    Tie.OnBeat last = (Tie.OnBeat) film.ties().get(film.joints().size() - 1);
    assertThat(request.music().grid().isDownbeat(last.beat())).isTrue();
    assertThat(film.music().start()).isEqualTo(request.music().start());
    assertThat(film.finish().end().frames()).isBetween(1L, end);
  }

  @Test
  void likeShotsGetLikeLengths() {
    List<CutPlanner.Wanted> shots = wanted(12);
    CutPlanner.Request request =
        request(shots, BeatGrid.even(120, 0, 200, 4), 0, FrameRate.FPS_24, 24 * 48);
    // 24 bars of 48 frames for twelve shots: two bars each, all on downbeats.
    List<Long> frames = frames(request, planner.plan(request).film());
    for (int i = 0; i < 12; i++) {
      assertThat(frames.get(i + 1) - frames.get(i)).isEqualTo(96);
    }
  }

  @Test
  void endsOnTheLastBarTheMaterialReaches() {
    CutPlanner.Request request =
        request(
            List.of(wanted(0, 100), wanted(1, 100)),
            BeatGrid.even(120, 0, 200, 4),
            0,
            FrameRate.FPS_24,
            2000);
    List<Long> frames = frames(request, planner.plan(request).film());
    // 200 frames of material reach bar 4, at frame 192.
    assertThat(frames.get(2)).isEqualTo(192);
  }

  @Test
  void lockedShotsStayWhereTheyAre() {
    BeatGrid grid = BeatGrid.even(120, 0, 200, 4);
    List<CutPlanner.Wanted> shots = wanted(6);
    Placement locked = Placement.of("s2", "t2", 9, Framing.FIT).withLocked(true);
    CutPlanner.Fixed fixed =
        new CutPlanner.Fixed(new FrameRange(131, 200), Tie.free(131), Tie.free(200));
    shots.set(2, CutPlanner.Wanted.of(locked, 150).fixedAt(fixed));
    CutPlanner.Request request = request(shots, grid, 0, FrameRate.FPS_24, 24 * 24);
    Film film = planner.plan(request).film();
    assertThat(film.placements().get(2)).isEqualTo(locked);
    assertThat(frames(request, film).subList(2, 4)).containsExactly(131L, 200L);
  }

  @Test
  void shotsWithoutRoomAreLeftOutAndNamed() {
    List<CutPlanner.Wanted> shots = wanted(40);
    CutPlan plan =
        planner.plan(request(shots, BeatGrid.even(60, 0, 60, 4), 0, FrameRate.FPS_24, 24 * 20));
    assertThat(plan.film().placements()).hasSize(20);
    assertThat(plan.leftOut()).hasSize(20).startsWith("s20").endsWith("s39");
  }

  @Test
  void saysWhatIsMissing() {
    BeatGrid grid = BeatGrid.even(60, 30, 60, 4);
    assertThatIllegalArgumentException()
        .isThrownBy(() -> planner.plan(request(List.of(), grid, 0, FrameRate.FPS_24, 240)))
        .withMessageContaining("bring in clips");
    assertThatIllegalArgumentException()
        .isThrownBy(
            () -> planner.plan(request(List.of(wanted(0, 100)), grid, 0, FrameRate.FPS_24, 240)))
        .withMessageContaining("No bar of the song");
  }

  @Test
  void theUsedPartIsTheMiddleOfTheTake() {
    CutPlanner.Request request =
        request(List.of(wanted(0, 100)), BeatGrid.even(120, 0, 50, 4), 0, FrameRate.FPS_24, 60);
    Film film = planner.plan(request).film();
    assertThat(film.placements().get(0).in()).isEqualTo(26);
  }

  @Test
  void theEndFadesOverTheLastBarButNotOverMoreThanASixthOfTheFilm() {
    BeatGrid grid = BeatGrid.even(120, 0, 50, 4);
    Film one = planner.plan(request(List.of(wanted(0, 100)), grid, 0, FrameRate.FPS_24, 60)).film();
    // The film of one shot lasts a bar of 48 frames.
    assertThat(one.finish().end()).isEqualTo(new EndFade(8));
    List<CutPlanner.Wanted> shots = List.of(wanted(0, 300), wanted(1, 300));
    Film two = planner.plan(request(shots, grid, 0, FrameRate.FPS_24, 480)).film();
    assertThat(two.finish().end()).isEqualTo(new EndFade(48));
  }
}
