package app.latethistle.core.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * The ways to cut a film, one for each {@link Pace}, that are ways of their own. The even one is as
 * it is best; a pace whose cuts are nearly those of one before it is planned again away from them.
 * Where the material leaves no other way, that is said.
 */
public final class Proposals {
  /** From this share of common cuts on, two films are no two ways to cut. */
  private static final double SAME_WAY = 0.8;

  /** The order in which they are planned, each beside those before it. */
  private static final List<Pace> ORDER = List.of(Pace.EVEN, Pace.CALM, Pace.BRISK);

  private Proposals() {}

  /**
   * A way to cut.
   *
   * @param like the pace that it does not differ from, if there is no other way
   */
  public record Proposal(Pace pace, CutPlan plan, Optional<Pace> like) {}

  /** A proposal for every pace, the calmest first. */
  public static List<Proposal> of(CutPlanner planner, CutPlanner.Request request) {
    return upTo(Pace.BRISK, planner, request).stream()
        .sorted(Comparator.comparing(Proposal::pace))
        .toList();
  }

  /** The proposal for a pace, as {@link #of} has it. */
  public static Proposal at(Pace pace, CutPlanner planner, CutPlanner.Request request) {
    List<Proposal> all = upTo(pace, planner, request);
    return all.get(all.size() - 1);
  }

  private static List<Proposal> upTo(Pace last, CutPlanner planner, CutPlanner.Request request) {
    List<Proposal> all = new ArrayList<>();
    for (Pace pace : ORDER) {
      all.add(beside(all, pace, planner, request));
      if (pace == last) {
        break;
      }
    }
    return all;
  }

  private static Proposal beside(
      List<Proposal> before, Pace pace, CutPlanner planner, CutPlanner.Request request) {
    CutPlan plan = planner.plan(request.at(pace));
    Optional<Proposal> like = like(before, plan);
    if (like.isEmpty()) {
      return new Proposal(pace, plan, Optional.empty());
    }
    Set<Long> taken = new TreeSet<>();
    before.forEach(p -> taken.addAll(inner(p.plan())));
    CutPlan other = planner.plan(request.at(pace).unlike(taken));
    return like(before, other).isEmpty()
        ? new Proposal(pace, other, Optional.empty())
        : new Proposal(pace, plan, like.map(Proposal::pace));
  }

  private static Optional<Proposal> like(List<Proposal> before, CutPlan plan) {
    return before.stream().filter(p -> common(p.plan(), plan) > SAME_WAY).findFirst();
  }

  /** The share of a film's cuts that another one has too; 1 if it has none. */
  static double common(CutPlan one, CutPlan other) {
    List<Long> cuts = inner(other);
    Set<Long> those = new TreeSet<>(inner(one));
    long both = cuts.stream().filter(frame -> isAmong(frame, those)).count();
    int most = Math.max(cuts.size(), those.size());
    return most == 0 ? 1 : (double) both / most;
  }

  /** Whether a frame, or one beside it, is among others: a cut a frame beside is the same cut. */
  static boolean isAmong(long frame, Set<Long> frames) {
    return frames.contains(frame) || frames.contains(frame - 1) || frames.contains(frame + 1);
  }

  private static List<Long> inner(CutPlan plan) {
    return plan.frames().size() < 3
        ? List.of()
        : plan.frames().subList(1, plan.frames().size() - 1);
  }
}
