package app.latethistle.core.plan;

import app.latethistle.core.film.Films;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.VoiceClock;
import app.latethistle.core.film.Voices;
import app.latethistle.core.look.Framing;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.music.Section;
import app.latethistle.core.time.Samples;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;

/**
 * Prints how long plans take, and what they cost, beside a greedy planner that takes the best end
 * of each shot in turn: {@code ./bench plan}.
 */
public final class PlanBench {
  private static final int ROUNDS = 15;

  private PlanBench() {}

  public static void main(String[] args) {
    System.out.printf(
        "%-28s %10s %8s %12s %12s%n", "film", "planner ms", "cost", "greedy ms", "greedy cost");
    print("20 shots, 60 s", request(20, 60));
    print("60 shots, 180 s", request(60, 180));
    print("200 shots, 600 s", request(200, 600));
    System.out.printf("%n%-28s %10s %8s %12s%n", "pool", "planner ms", "cost", "over bound");
    pool("40 shots for 60 s", request(40, 60));
    pool("80 shots for 180 s", request(80, 180));
    pool("200 shots for 600 s", request(200, 600));
  }

  private static void pool(String name, CutPlanner.Request request) {
    Random random = new Random(7);
    List<CutPlanner.Wanted> shots =
        request.shots().stream()
            .map(
                s ->
                    s.looking(
                        new Traits(
                            random.nextDouble(), random.nextDouble() - 0.5, 0, 0, look(random))))
            .toList();
    CutPlanner.Request free =
        new CutPlanner.Request(
            shots,
            request.music(),
            request.voice(),
            request.rate(),
            request.length(),
            request.pace());
    double[] cost = best(free, r -> new PoolCut().plan(r).cost());
    double over = cost[1] - new PoolCut().plan(free).bound();
    System.out.printf("%-28s %10.0f %8.2f %12.2f%n", name, cost[0], cost[1], over);
  }

  private static List<Float> look(Random random) {
    return Stream.generate(() -> (float) (60 + random.nextInt(120))).limit(27).toList();
  }

  private static void print(String name, CutPlanner.Request request) {
    double[] ours = best(request, r -> new OrderedCut().plan(r).cost());
    double[] greedy = best(request, PlanBench::greedy);
    System.out.printf(
        "%-28s %10.1f %8.2f %12.1f %12.2f%n", name, ours[0], ours[1], greedy[0], greedy[1]);
  }

  /** The shortest time of several, in milliseconds, and the cost. */
  private static double[] best(
      CutPlanner.Request request, ToDoubleFunction<CutPlanner.Request> planner) {
    double least = Double.POSITIVE_INFINITY;
    double cost = 0;
    for (int i = 0; i < ROUNDS; i++) {
      long from = System.nanoTime();
      cost = planner.applyAsDouble(request);
      least = Math.min(least, (System.nanoTime() - from) / 1e6);
    }
    return new double[] {least, cost};
  }

  private static double greedy(CutPlanner.Request request) {
    List<Moment> moments = Moment.of(request);
    Objective objective = new Objective(request, request.shots(), moments);
    double cost = 0;
    int at = 0;
    for (int shot = 0; shot < request.shots().size(); shot++) {
      int end = -1;
      for (int to = at + 1; to < moments.size() && !objective.tooLong(shot, at, to); to++) {
        boolean last = shot == request.shots().size() - 1;
        if (last && objective.ends()[to] == Objective.IMPOSSIBLE) {
          continue;
        }
        boolean better = end < 0 || objective.cost(shot, at, to) < objective.cost(shot, at, end);
        end = objective.allows(shot, at, to) && better ? to : end;
      }
      if (end < 0) {
        return Double.POSITIVE_INFINITY;
      }
      cost += objective.cost(shot, at, end);
      at = end;
    }
    return cost + objective.ends()[at];
  }

  private static CutPlanner.Request request(int count, double seconds) {
    List<CutPlanner.Wanted> shots = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      shots.add(
          CutPlanner.Wanted.of(Placement.of("s" + i, "t" + i, 0, Framing.FILL), 100 + 37 * i % 60));
    }
    List<Section> sections = new ArrayList<>();
    for (double at = 0; at < seconds; at += 20) {
      sections.add(
          new Section(
              Samples.ofSeconds(at),
              Samples.ofSeconds(at + 20),
              'A',
              Section.Name.BUILD,
              0.3 + 0.02 * (at % 35)));
    }
    double[] lines = new double[(int) (seconds / 8)];
    for (int i = 0; i < lines.length; i++) {
      lines[i] = 1.3 + 8 * i;
    }
    VoiceClock voice = Voices.placed(Voices.at("the water came up to the doors", 0.4, lines));
    BeatGrid grid = BeatGrid.even(118, 0.2, (int) (seconds * 2), 4);
    return new CutPlanner.Request(
        shots,
        new CutPlanner.Music(grid, sections, List.of(), 0),
        voice,
        Films.RATE,
        Films.RATE.framesIn(seconds),
        Pace.EVEN);
  }
}
