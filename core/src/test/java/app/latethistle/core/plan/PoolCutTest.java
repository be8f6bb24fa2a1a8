package app.latethistle.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import app.latethistle.core.film.Cutting;
import app.latethistle.core.film.Films;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Tie;
import app.latethistle.core.film.VoiceClock;
import app.latethistle.core.look.Framing;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.music.Section;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.Samples;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class PoolCutTest {
  private final PoolCut planner = new PoolCut();

  private static CutPlanner.Wanted shot(int i, long frames, Traits traits) {
    return CutPlanner.Wanted.of(Placement.of("s" + i, "t" + i, 0, Framing.FILL), frames)
        .looking(traits);
  }

  private static CutPlanner.Request request(
      List<CutPlanner.Wanted> shots, double quietUntil, double seconds, Pace pace) {
    List<Section> sections =
        List.of(
            new Section(0, Samples.ofSeconds(quietUntil), 'A', Section.Name.QUIET, 0.1),
            new Section(
                Samples.ofSeconds(quietUntil), Samples.ofSeconds(90), 'B', Section.Name.FULL, 0.9));
    return new CutPlanner.Request(
        shots,
        new CutPlanner.Music(BeatGrid.even(110, 0.2, 150, 4), sections, List.of(), 0),
        VoiceClock.SILENT,
        Films.RATE,
        Films.RATE.framesIn(seconds),
        pace);
  }

  private static Traits traits(Random random) {
    List<Float> look = new ArrayList<>();
    for (int i = 0; i < 6; i++) {
      look.add((float) (90 + random.nextInt(60)));
    }
    return new Traits(
        random.nextDouble(), random.nextDouble() - 0.5, random.nextDouble() - 0.5, 0, look);
  }

  private static List<CutPlanner.Wanted> pool(int count, Random random) {
    List<CutPlanner.Wanted> shots = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      shots.add(shot(i, 60 + random.nextInt(60), traits(random)));
    }
    return shots;
  }

  /** The least objective over every choice, order and cutting. */
  private static double least(CutPlanner.Request request) {
    List<Moment> moments = Moment.of(request);
    int k = request.shots().size();
    double each = Math.max(request.length() / (double) k, 4 * Films.RATE.perSecond());
    Objective objective = new Objective(request, request.shots(), moments, each);
    return least(objective, moments.size(), k, 0, -1, 0);
  }

  private static double least(Objective objective, int m, int k, int from, int last, int used) {
    double best = from == 0 ? Double.POSITIVE_INFINITY : objective.ends()[from];
    for (int shot = 0; shot < k; shot++) {
      for (int to = from + 1; (used & (1 << shot)) == 0 && to < m; to++) {
        if (objective.allows(shot, from, to)) {
          double cost = objective.cost(shot, from, to);
          cost += last < 0 ? 0 : objective.beside(last, shot);
          best = Math.min(best, cost + least(objective, m, k, to, shot, used | (1 << shot)));
        }
      }
    }
    return best;
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void isNoFurtherFromTheBestOfAllFilmsThanItSays(long seed) {
    Random random = new Random(seed);
    CutPlanner.Request request = request(pool(4, random), 3, 5 + random.nextInt(3), Pace.CALM);
    CutPlan plan = planner.plan(request);
    double least = least(request);
    assertThat(plan.bound()).isLessThanOrEqualTo(least + 1e-9);
    assertThat(plan.cost()).isGreaterThanOrEqualTo(least - 1e-9);
    // So few shots are solved as good as exactly.
    assertThat(plan.cost()).isLessThan(least + 0.15);
  }

  @Test
  void livelyPicturesGoWhereTheMusicIsStrongAndNoneIsSeenTwice() {
    List<CutPlanner.Wanted> shots = new ArrayList<>();
    for (int i = 0; i < 20; i++) {
      shots.add(shot(i, 110, new Traits(i % 2, 0, 0, 0, List.of())));
    }
    CutPlan plan = planner.plan(request(shots, 20, 40, Pace.EVEN));
    Cutting cutting =
        Cutting.of(plan.film(), BeatGrid.even(110, 0.2, 150, 4), Films.RATE, Map.of());
    int fits = 0;
    List<Placement> seen = plan.film().placements();
    for (int i = 0; i < seen.size(); i++) {
      boolean lively = Integer.parseInt(seen.get(i).shot().substring(1)) % 2 == 1;
      boolean strong = cutting.rangeOf(i).start() >= Films.RATE.framesIn(19);
      fits += lively == strong ? 1 : 0;
    }
    assertThat(fits).isGreaterThanOrEqualTo(seen.size() - 1);
    assertThat(new HashSet<>(seen.stream().map(Placement::shot).toList())).hasSameSizeAs(seen);
    assertThat(plan.cost() - plan.bound()).isLessThan(0.1 * seen.size());
  }

  @Test
  void neighboursAreNotAlike() {
    List<CutPlanner.Wanted> shots = new ArrayList<>();
    for (int i = 0; i < 16; i++) {
      List<Float> look = Collections.nCopies(6, i % 2 == 0 ? 60f : 160f);
      shots.add(shot(i, 100, new Traits(0.5, 0, 0, 0, look)));
    }
    CutPlan plan = planner.plan(request(shots, 10, 40, Pace.EVEN));
    List<Placement> seen = plan.film().placements();
    int alike = 0;
    for (int i = 1; i < seen.size(); i++) {
      int a = Integer.parseInt(seen.get(i - 1).shot().substring(1));
      int b = Integer.parseInt(seen.get(i).shot().substring(1));
      alike += a % 2 == b % 2 ? 1 : 0;
    }
    assertThat(seen.size()).isGreaterThan(10);
    assertThat(alike).isLessThanOrEqualTo(1);
  }

  @Test
  void aLockedShotStaysWhereItIs() {
    Random random = new Random(5);
    List<CutPlanner.Wanted> shots = new ArrayList<>(pool(12, random));
    FrameRange range = new FrameRange(120, 170);
    shots.set(
        4,
        shots
            .get(4)
            .fixedAt(new CutPlanner.Fixed(range, Tie.free(range.start()), Tie.free(range.end()))));
    CutPlan plan = planner.plan(request(shots, 10, 25, Pace.EVEN));
    Cutting cutting =
        Cutting.of(plan.film(), BeatGrid.even(110, 0.2, 150, 4), Films.RATE, Map.of());
    int place = plan.film().indexOfShot("s4");
    assertThat(cutting.rangeOf(place)).isEqualTo(range);
  }

  @Test
  void aPoolOfNothingIsRefused() {
    assertThatIllegalArgumentException()
        .isThrownBy(() -> planner.plan(request(List.of(), 3, 10, Pace.EVEN)))
        .withMessageContaining("bring in clips");
  }
}
