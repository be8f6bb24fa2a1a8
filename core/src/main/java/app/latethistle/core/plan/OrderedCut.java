package app.latethistle.core.plan;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.Joint;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.SongUse;
import app.latethistle.core.look.EndFade;
import app.latethistle.core.look.Finish;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Cuts shots in their order, exactly: a dynamic programme over (shot, moment) finds the film of the
 * least {@link Objective}, in {@code O(shots * moments * k)} for shots that last at most {@code k}
 * moments. The lead-in before the first downbeat belongs to the first shot; locked shots keep their
 * range; the film ends on the last bar at or under the wanted length that the material reaches, and
 * picture and song fade over its last bar. The used part is the middle of the usable part of each
 * take, where generated clips are steadiest (common practice, no source). Where there are more
 * shots than room, the last ones are left out.
 */
public final class OrderedCut implements CutPlanner {
  /** The end fades over this part of a film at most: common practice, no source. */
  private static final long LONGEST_FADE = 6;

  @Override
  public CutPlan plan(Request request) {
    List<Moment> moments = Moment.toCut(request);
    List<Wanted> shots = new ArrayList<>(request.shots());
    List<String> leftOut = new ArrayList<>();
    while (true) {
      Optional<CutPlan> plan = solve(request, shots, moments, leftOut);
      if (plan.isPresent()) {
        return plan.get();
      }
      int last = lastUnlocked(shots);
      if (shots.size() == 1 || last < 0) {
        throw new Refused("The locked shots leave no room for a cut; unlock one and cut again.");
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
    Objective objective = new Objective(request, shots, moments);
    return cuts(objective, shots.size(), moments.size())
        .map(cuts -> build(request, shots, moments, objective, cuts, leftOut, 0).asBest());
  }

  /** The moments of the best film's joints; empty if there is none. */
  static Optional<int[]> cuts(Objective objective, int n, int m) {
    double[][] cost = new double[n + 1][m];
    int[][] from = new int[n + 1][m];
    for (double[] row : cost) {
      Arrays.fill(row, Objective.IMPOSSIBLE);
    }
    cost[0][0] = 0;
    for (int i = 0; i < n; i++) {
      for (int a = 0; a < m; a++) {
        if (cost[i][a] == Objective.IMPOSSIBLE) {
          continue;
        }
        for (int b = a + 1; b < m && !objective.tooLong(i, a, b); b++) {
          if (!objective.allows(i, a, b)) {
            continue;
          }
          double total = cost[i][a] + objective.cost(i, a, b);
          if (total < cost[i + 1][b]) {
            cost[i + 1][b] = total;
            from[i + 1][b] = a;
          }
        }
      }
    }
    double[] ends = objective.ends();
    int end = 0;
    for (int b = 1; b < m; b++) {
      if (cost[n][b] + ends[b] < cost[n][end] + ends[end]) {
        end = b;
      }
    }
    if (cost[n][end] + ends[end] == Objective.IMPOSSIBLE) {
      return Optional.empty();
    }
    int[] cuts = new int[n + 1];
    cuts[n] = end;
    for (int i = n; i > 0; i--) {
      cuts[i - 1] = from[i][cuts[i]];
    }
    return Optional.of(cuts);
  }

  /** The film of shots in an order, cut at moments. */
  static CutPlan build(
      Request request,
      List<Wanted> shots,
      List<Moment> moments,
      Objective objective,
      int[] cuts,
      List<String> leftOut,
      double bound) {
    Map<Term, Double> terms = new EnumMap<>(Term.class);
    List<Placement> placements = new ArrayList<>();
    List<Joint> joints = new ArrayList<>(List.of(Joint.START));
    List<Long> frames = new ArrayList<>(List.of(0L));
    for (int i = 0; i < shots.size(); i++) {
      objective.add(i, cuts[i], cuts[i + 1], (term, cost) -> terms.merge(term, cost, Double::sum));
      long length = moments.get(cuts[i + 1]).frame() - moments.get(cuts[i]).frame();
      if (i > 0) {
        terms.merge(Term.ALIKE, objective.alike(i - 1, i), Double::sum);
        terms.merge(Term.MOTION, objective.motion(i - 1, i), Double::sum);
      }
      placements.add(use(shots.get(i), length));
      joints.add(Joint.of(moments.get(cuts[i + 1]).tie()));
      frames.add(moments.get(cuts[i + 1]).frame());
    }
    int end = cuts[shots.size()];
    terms.put(Term.END, objective.ends()[end]);
    Film film =
        Film.cut(placements, joints)
            .withMusic(new SongUse(request.music().start()))
            .withFinish(Finish.NONE.withEnd(new EndFade(fade(moments, end))));
    return new CutPlan(film, frames, leftOut, terms, bound);
  }

  private static Placement use(Wanted shot, long length) {
    Placement p = shot.placement();
    if (shot.fixed().isPresent()) {
      return p;
    }
    long in = shot.usable().start() + Math.max(0, (shot.usable().length() - length) / 2);
    return p.withIn(in);
  }

  /** The last bar, but no more than a part of the film. */
  private static long fade(List<Moment> moments, int end) {
    return Math.min(lastBar(moments, end), moments.get(end).frame() / LONGEST_FADE);
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
