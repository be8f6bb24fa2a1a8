package app.latethistle.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.film.Clocks;
import app.latethistle.core.film.Cutting;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.Films;
import app.latethistle.core.film.Narration;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Reasons;
import app.latethistle.core.film.Tie;
import app.latethistle.core.film.VoiceClock;
import app.latethistle.core.film.Voices;
import app.latethistle.core.look.Framing;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.music.Section;
import app.latethistle.core.time.SampleRange;
import app.latethistle.core.time.Samples;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Plans on music and voice together. */
class BothClocksTest {
  private final OrderedCut planner = new OrderedCut();

  private static CutPlanner.Wanted shot(int i, long frames) {
    return CutPlanner.Wanted.of(Placement.of("s" + i, "t" + i, 0, Framing.FILL), frames);
  }

  private static List<CutPlanner.Wanted> shots(int count, long frames) {
    List<CutPlanner.Wanted> shots = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      shots.add(shot(i, frames));
    }
    return shots;
  }

  private static CutPlanner.Request request(
      List<CutPlanner.Wanted> shots,
      BeatGrid grid,
      List<Section> sections,
      VoiceClock voice,
      double seconds) {
    return new CutPlanner.Request(
        shots,
        new CutPlanner.Music(grid, sections, List.of(), 0),
        voice,
        Films.RATE,
        Films.RATE.framesIn(seconds),
        Pace.EVEN);
  }

  private static Cutting cutting(CutPlan plan, CutPlanner.Request request, Narration narration) {
    return Cutting.of(
        plan.film(), new Clocks(request.music().grid(), narration), Films.RATE, Map.of());
  }

  private static CutPlanner.Request small(Random random) {
    List<CutPlanner.Wanted> shots = new ArrayList<>();
    int n = 2 + random.nextInt(3);
    for (int i = 0; i < n; i++) {
      Set<String> lines = random.nextInt(3) == 0 ? Set.of("l1") : Set.of();
      shots.add(shot(i, 40 + random.nextInt(100)).spokenOf(lines));
    }
    double border = 1 + 2 * random.nextInt(3);
    List<Section> sections =
        List.of(
            new Section(0, Samples.ofSeconds(border), 'A', Section.Name.OPENING, 0.2),
            new Section(
                Samples.ofSeconds(border),
                Samples.ofSeconds(60),
                'B',
                Section.Name.FULL,
                random.nextDouble()));
    VoiceClock voice =
        Voices.placed(Voices.at("a bell under water", 0.3, 0.5 + 4 * random.nextDouble()));
    return request(shots, BeatGrid.even(110, 0.2, 60, 4), sections, voice, 6 + random.nextInt(3))
        .at(List.of(Pace.CALM, Pace.EVEN, Pace.BRISK).get(random.nextInt(3)));
  }

  /** The least objective over every choice of moments. */
  private static double least(CutPlanner.Request request) {
    List<Moment> moments = Moment.of(request);
    Objective objective = new Objective(request, request.shots(), moments);
    return least(objective, request.shots().size(), moments.size(), 0, 0);
  }

  private static double least(Objective objective, int shots, int moments, int shot, int from) {
    if (shot == shots) {
      return objective.ends()[from];
    }
    double best = Double.POSITIVE_INFINITY;
    for (int to = from + 1; to < moments; to++) {
      if (objective.allows(shot, from, to)) {
        double rest = least(objective, shots, moments, shot + 1, to);
        best = Math.min(best, objective.cost(shot, from, to) + rest);
      }
    }
    return best;
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void isAsGoodAsTheBestOfAllFilms(long seed) {
    CutPlanner.Request request = small(new Random(seed));
    CutPlan plan = planner.plan(request);
    assertThat(plan.leftOut()).isEmpty();
    assertThat(plan.cost()).isCloseTo(least(request), within(1e-9));
  }

  @Test
  void aSectionDrawnQuickIsSeenInShorterShots() {
    BeatGrid grid = BeatGrid.even(120, 0, 100, 4);
    List<Section> sections =
        List.of(
            new Section(0, Samples.ofSeconds(16), 'A', Section.Name.QUIET, 0.2),
            new Section(Samples.ofSeconds(16), Samples.ofSeconds(32), 'B', Section.Name.FULL, 0.9));
    CutPlanner.Request asked = request(shots(12, 200), grid, sections, VoiceClock.SILENT, 32);
    CutPlanner.Request drawn =
        new CutPlanner.Request(
            asked.shots(),
            asked.music().drawn(List.of(2.0, 1.0)),
            asked.voice(),
            asked.rate(),
            asked.length(),
            asked.pace());
    // Energy puts more cuts into the second half, the drawing twice as many into the first.
    assertThat(cutsBefore(asked, 16)).isLessThan(6);
    assertThat(cutsBefore(drawn, 16)).isEqualTo(8);
  }

  private long cutsBefore(CutPlanner.Request request, double seconds) {
    Cutting cutting = cutting(planner.plan(request), request, Narration.EMPTY);
    long end = Films.RATE.framesIn(seconds);
    return cutting.frames().stream().filter(f -> f > 0 && f <= end).count();
  }

  @Test
  void noCutFallsInsideAWordThatIsSaidWithAShotWhereverTheShotStarts() {
    BeatGrid grid = BeatGrid.even(120, 0, 100, 4);
    List<CutPlanner.Wanted> shots = shots(3, 120);
    // A word over each downbeat that the second shot could end on.
    List<SampleRange> said = new ArrayList<>();
    for (double at = 2; at <= 6; at += 2) {
      said.add(new SampleRange(Samples.ofSeconds(at - 0.2), Samples.ofSeconds(at + 0.2)));
    }
    shots.set(1, shots.get(1).saying(said));
    CutPlanner.Request request = request(shots, grid, List.of(), VoiceClock.SILENT, 10);
    List<Long> frames = cutting(planner.plan(request), request, Narration.EMPTY).frames();
    long length = frames.get(2) - frames.get(1);
    assertThat(said)
        .noneMatch(
            w ->
                Films.RATE.sampleOf(length) > w.start() + 2000
                    && Films.RATE.sampleOf(length) < w.end() - 2000);
    assertThat(planner.plan(request).cost()).isCloseTo(least(request), within(1e-9));
  }

  @Test
  void aSlowSongIsCutOnOffbeatsWhenItIsToBeBrisk() {
    BeatGrid grid = BeatGrid.even(60, 0, 60, 4);
    CutPlanner.Request request =
        request(shots(24, 60), grid, List.of(), VoiceClock.SILENT, 16).at(Pace.BRISK);
    CutPlan plan = planner.plan(request);
    Cutting cutting = cutting(plan, request, Narration.EMPTY);
    List<String> reasons =
        new Reasons(grid, List.of(), List.of(), Films.RATE).of(plan.film(), cutting);
    assertThat(plan.film().placements()).hasSize(24);
    assertThat(reasons).anyMatch(r -> r.startsWith("offbeat after beat 2 of bar "));
  }

  @Test
  void noCutFallsInsideAWordWhereAnotherBeatWillDo() {
    Narration narration = Voices.at("forty one lanterns over the water", 0.62, 1.5, 8, 14.5);
    CutPlanner.Request request =
        request(
            shots(9, 140), BeatGrid.even(92, 0.3, 100, 4), List.of(), Voices.placed(narration), 22);
    Cutting cutting = cutting(planner.plan(request), request, narration);
    assertThat(cutting.problems())
        .extracting(Cutting.Problem::kind)
        .doesNotContain(Cutting.Kind.INSIDE_WORD);
    Cutting deaf =
        cutting(
            planner.plan(
                request(request.shots(), request.music().grid(), List.of(), VoiceClock.SILENT, 22)),
            request,
            narration);
    assertThat(deaf.problems())
        .as("the music alone would cut words")
        .extracting(Cutting.Problem::kind)
        .contains(Cutting.Kind.INSIDE_WORD);
  }

  @Test
  void aShotIsOnScreenWhileItsLineIsSpoken() {
    Narration narration = Voices.at("somebody left the light on", 0.4, 6.4);
    List<CutPlanner.Wanted> shots = new ArrayList<>(shots(8, 160));
    shots.set(1, shots.get(1).spokenOf(Set.of("l1")));
    CutPlanner.Request request =
        request(shots, BeatGrid.even(120, 0, 100, 4), List.of(), Voices.placed(narration), 24);
    Cutting cutting = cutting(planner.plan(request), request, narration);
    assertThat(cutting.rangeOf(1).start()).isLessThanOrEqualTo(Films.RATE.framesIn(6.4));
    assertThat(cutting.rangeOf(1).end()).isGreaterThanOrEqualTo(Films.RATE.framesIn(8.8));
  }

  @Test
  void aSectionBeginsWithACut() {
    List<Section> sections =
        List.of(
            new Section(0, Samples.ofSeconds(6), 'A', Section.Name.OPENING, 0.5),
            new Section(Samples.ofSeconds(6), Samples.ofSeconds(50), 'B', Section.Name.FULL, 0.5));
    CutPlanner.Request request =
        request(shots(6, 160), BeatGrid.even(120, 0, 100, 4), sections, VoiceClock.SILENT, 24);
    assertThat(cutting(planner.plan(request), request, Narration.EMPTY).frames()).contains(144L);
  }

  @Test
  void pacesDiffer() {
    List<Section> sections =
        List.of(
            new Section(0, Samples.ofSeconds(16), 'A', Section.Name.QUIET, 0.2),
            new Section(Samples.ofSeconds(16), Samples.ofSeconds(50), 'B', Section.Name.FULL, 1));
    CutPlanner.Request request =
        request(shots(16, 160), BeatGrid.even(120, 0, 100, 4), sections, VoiceClock.SILENT, 32);
    Map<Pace, Long> quiet = new EnumMap<>(Pace.class);
    Map<Pace, Long> offBeats = new EnumMap<>(Pace.class);
    for (Pace pace : Pace.values()) {
      CutPlan plan = planner.plan(request.at(pace));
      List<Long> frames = cutting(plan, request, Narration.EMPTY).frames();
      quiet.put(pace, frames.stream().filter(f -> f > 0 && f < 384).count());
      offBeats.put(
          pace,
          plan.film().ties().stream()
              .filter(t -> t instanceof Tie.OnBeat on && on.beat() % 4 != 0)
              .count());
    }
    assertThat(quiet.get(Pace.CALM)).isGreaterThan(quiet.get(Pace.BRISK));
    assertThat(offBeats.get(Pace.CALM)).isLessThan(offBeats.get(Pace.BRISK));
  }

  @Test
  void withoutMusicCutsFallBeforePhrases() {
    Narration narration = Voices.at("nobody came", 0.5, 0.5, 3.6, 7.2, 10.1);
    CutPlanner.Request request =
        request(shots(4, 120), BeatGrid.EMPTY, List.of(), Voices.placed(narration), 13);
    Film film = planner.plan(request).film();
    assertThat(film.ties().subList(1, 4)).allMatch(t -> t instanceof Tie.OnWord);
    assertThat(cutting(planner.plan(request), request, narration).frames().subList(0, 4))
        .containsExactly(0L, 84L, 171L, 240L);
  }
}
