package app.latethistle.core.plan;

import app.latethistle.core.film.Film;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.SongUse;
import app.latethistle.core.film.Tie;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * The first cut: each shot gets a whole number of beats near its share of the film, cuts fall on
 * downbeats where that costs little, no shot is longer than its material, and the film ends on the
 * last bar at or under the wanted length that the material reaches. Picture and song fade over the
 * last bar. The used part is the middle of each take, where generated clips are steadiest (common
 * practice, no source).
 *
 * <p>Exact: a dynamic programme over (shot, moment), {@code O(shots * moments^2)}. The cost of a
 * shot is the square of its length's distance from its share, in shares; locked shots keep their
 * range. The lead-in before the first downbeat belongs to the first shot.
 */
public final class FirstCut implements CutPlanner {
  private static final double IMPOSSIBLE = Double.POSITIVE_INFINITY;

  /** How much a film may lose to end nearer to the wanted length: more than any cut costs. */
  private static final double BAR_SHORT = 40;

  /** The shortest a shot is made, in seconds, unless there are more shots than room. */
  private static final double SHORTEST_SECONDS = 0.5;

  @Override
  public CutPlan plan(Request request) {
    if (request.shots().isEmpty()) {
      throw new IllegalArgumentException("There is no shot to cut; bring in clips first.");
    }
    List<Moment> moments = Moment.of(request);
    if (moments.stream().noneMatch(Moment::bar)) {
      throw new IllegalArgumentException(
          "No bar of the song begins within the wanted length; make the film longer or start the"
              + " song earlier.");
    }
    List<Wanted> shots = new ArrayList<>(request.shots());
    List<String> leftOut = new ArrayList<>();
    while (true) {
      Optional<CutPlan> plan = solve(request, shots, moments, leftOut);
      if (plan.isPresent()) {
        return plan.get();
      }
      int last = lastUnlocked(shots);
      if (shots.size() == 1 || last < 0) {
        throw new IllegalArgumentException(
            "The locked shots leave no room for a cut; unlock one and cut again.");
      }
      leftOut.add(0, shots.remove(last).placement().shot());
    }
  }

  private static int lastUnlocked(List<Wanted> shots) {
    for (int i = shots.size() - 1; i >= 0; i--) {
      if (shots.get(i).fixed().isEmpty()) {
        return i;
      }
    }
    return -1;
  }

  private static Optional<CutPlan> solve(
      Request request, List<Wanted> shots, List<Moment> moments, List<String> leftOut) {
    int n = shots.size();
    int m = moments.size();
    double[] share = shares(shots, request.length());
    double shortest = SHORTEST_SECONDS * request.rate().perSecond();
    double[][] cost = new double[n + 1][m];
    int[][] from = new int[n + 1][m];
    for (double[] row : cost) {
      Arrays.fill(row, IMPOSSIBLE);
    }
    cost[0][0] = 0;
    for (int i = 0; i < n; i++) {
      Wanted shot = shots.get(i);
      for (int a = 0; a < m; a++) {
        if (cost[i][a] == IMPOSSIBLE) {
          continue;
        }
        for (int b = a + 1; b < m; b++) {
          long length = moments.get(b).frame() - moments.get(a).frame();
          if (!allowed(shot, moments.get(a), moments.get(b))) {
            if (shot.fixed().isEmpty() && length > shot.frames()) {
              break;
            }
            continue;
          }
          double off = (length - share[i]) / share[i];
          double tooShort = length < shortest ? 4 * (shortest - length) / shortest : 0;
          double total = cost[i][a] + off * off + tooShort + moments.get(b).cost() * weight(n);
          if (total < cost[i + 1][b]) {
            cost[i + 1][b] = total;
            from[i + 1][b] = a;
          }
        }
      }
    }
    int end = end(cost[n], moments, shots.get(n - 1).fixed().isPresent());
    if (end < 0) {
      return Optional.empty();
    }
    return Optional.of(build(request, shots, moments, from, end, leftOut, cost[n][end]));
  }

  private static double weight(int shots) {
    return shots > 1 ? 0.3 : 0;
  }

  private static boolean allowed(Wanted shot, Moment start, Moment end) {
    if (shot.fixed().isPresent()) {
      return shot.fixed().get().range().start() == start.frame()
          && shot.fixed().get().range().end() == end.frame();
    }
    return end.frame() - start.frame() <= shot.frames();
  }

  /** The wanted length of each shot: the film's length shared out by usable length. */
  private static double[] shares(List<Wanted> shots, long length) {
    double[] share = new double[shots.size()];
    double left = length;
    double material = 0;
    for (Wanted shot : shots) {
      if (shot.fixed().isPresent()) {
        left -= shot.fixed().get().range().length();
      } else {
        material += shot.frames();
      }
    }
    for (int i = 0; i < share.length; i++) {
      double part = material > 0 ? shots.get(i).frames() * left / material : 1;
      share[i] = Math.max(1, Math.min(part, (double) shots.get(i).frames()));
    }
    return share;
  }

  /**
   * The moment to end at: a bar, each one earlier than the last costing much; or where the last
   * shot is locked, its end.
   */
  private static int end(double[] cost, List<Moment> moments, boolean lockedEnd) {
    int best = -1;
    double bestCost = IMPOSSIBLE;
    double penalty = 0;
    for (int b = moments.size() - 1; b > 0; b--) {
      if (!moments.get(b).bar() && !lockedEnd) {
        continue;
      }
      if (cost[b] + penalty < bestCost) {
        bestCost = cost[b] + penalty;
        best = b;
      }
      penalty += BAR_SHORT;
    }
    return best;
  }

  private static CutPlan build(
      Request request,
      List<Wanted> shots,
      List<Moment> moments,
      int[][] from,
      int end,
      List<String> leftOut,
      double cost) {
    int n = shots.size();
    Tie[] joints = new Tie[n + 1];
    Placement[] placements = new Placement[n];
    int at = end;
    for (int i = n; i > 0; i--) {
      int start = from[i][at];
      joints[i] = moments.get(at).tie();
      long length = moments.get(at).frame() - moments.get(start).frame();
      placements[i - 1] = use(shots.get(i - 1), length);
      at = start;
    }
    joints[0] = Tie.free(0);
    SongUse song = new SongUse(request.songStart(), lastBar(moments, end));
    Film film = new Film(Arrays.asList(placements), Arrays.asList(joints), song);
    return new CutPlan(film, List.copyOf(leftOut), cost);
  }

  private static Placement use(Wanted shot, long length) {
    Placement p = shot.placement();
    if (shot.fixed().isPresent()) {
      return p;
    }
    long in = Math.max(0, (shot.frames() - length) / 2);
    return new Placement(p.shot(), p.take(), in, p.framing(), p.locked());
  }

  /** Frames from the bar before the end to the end. */
  private static long lastBar(List<Moment> moments, int end) {
    for (int b = end - 1; b > 0; b--) {
      if (moments.get(b).bar()) {
        return moments.get(end).frame() - moments.get(b).frame();
      }
    }
    return moments.get(end).frame();
  }
}
