package app.latethistle.core.plan;

import app.latethistle.core.Refused;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * Cuts a pool of shots that have no order, as in a music video: which are seen, in what order, and
 * where the cuts fall. Pictures that move much go where the music is strong, neighbours are not
 * alike, motion is carried on, and no shot is seen twice.
 *
 * <p>Without the last of these the best film is a shortest path over (moment, shot), found exactly
 * by {@link FreeChoice}. A price on each shot, raised while the path uses it more than once, brings
 * the path near to a film and its cost to a bound from below that no film can beat (Lagrangian
 * relaxation; Fisher 1981). Each path is made a film: shots seen again make way for others, their
 * order is bettered by exchanges, and the cuts of that order are found exactly. The best film and
 * the highest bound are kept, so how far the film may be from the best is known.
 */
public final class PoolCut implements CutPlanner {
  /** Steps over (moments * shots * shots) that are made at most: some tenths of a second. */
  private static final double WORK = 2e8;

  private static final int LEAST_ROUNDS = 6;

  /** Offbeats are cut on if there is work for so many rounds with them. */
  private static final int LEAST_WITH_OFFBEATS = 20;

  private static final int MOST_ROUNDS = 120;

  /** Each so many rounds a path is made a film. */
  private static final int FILM_EVERY = 8;

  /** A film this near to the bound is the best for all that matters. */
  private static final double NEAR = 1e-6;

  /** Seconds a shot lasts in the mean, at each pace, if there is as much material as one likes. */
  private static double seconds(Pace pace) {
    return switch (pace) {
      case CALM -> 4;
      case EVEN -> 2.6;
      case BRISK -> 1.6;
    };
  }

  private static double work(int moments, int shots) {
    return (double) moments * shots * shots;
  }

  @Override
  public CutPlan plan(Request request) {
    List<Moment> moments = Moment.toCut(request);
    int k = request.shots().size();
    if (work(moments.size(), k) * LEAST_WITH_OFFBEATS > WORK) {
      moments.removeIf(Moment::isOffbeat);
    }
    return new Search(request, moments)
        .run()
        .orElseThrow(
            () ->
                new Refused(
                    "The shots of the pool do not fill a bar of the song together; bring in more."));
  }

  /** One request on its way to its film. */
  private static final class Search {
    private final Request request;
    private final List<Wanted> shots;
    private final List<Moment> moments;
    private final double each;
    private final Objective objective;
    private final double[][] beside;
    private double best = Objective.IMPOSSIBLE;
    private PoolOrder bestOrder;

    Search(Request request, List<Moment> moments) {
      this.request = request;
      this.shots = request.shots();
      this.moments = moments;
      int k = shots.size();
      double share = request.length() / (double) k;
      each = Math.max(share, seconds(request.pace()) * request.rate().perSecond());
      objective = new Objective(request, shots, moments, each);
      beside = new double[k][k];
      for (int i = 0; i < k; i++) {
        for (int j = 0; j < k; j++) {
          beside[i][j] = objective.beside(i, j);
        }
      }
    }

    Optional<CutPlan> run() {
      int k = shots.size();
      FreeChoice free = new FreeChoice(objective, moments.size(), beside);
      double[] price = new double[k];
      double bound = -Objective.IMPOSSIBLE;
      double stride = 0.4;
      int rounds = rounds();
      for (int round = 0; round < rounds; round++) {
        Optional<FreeChoice.Path> path = free.best(price);
        if (path.isEmpty()) {
          break;
        }
        double value = path.get().cost() - Arrays.stream(price).sum();
        stride *= value > bound + NEAR ? 1.05 : 0.9;
        bound = Math.max(bound, value);
        boolean last = round == rounds - 1 || best - bound < NEAR;
        if (round % FILM_EVERY == 0 || last) {
          consider(path.get());
        }
        if (best - bound < NEAR || !raise(price, path.get(), stride)) {
          break;
        }
      }
      if (bestOrder == null) {
        return Optional.empty();
      }
      double least = Math.min(bound, best);
      return Optional.of(film(bestOrder, least));
    }

    private int rounds() {
      double round = work(moments.size(), shots.size());
      return (int) Math.max(LEAST_ROUNDS, Math.min(MOST_ROUNDS, WORK / round));
    }

    /**
     * Raises the prices of shots used more than once, lowers those of unused ones to 0 at least.
     */
    private boolean raise(double[] price, FreeChoice.Path path, double stride) {
      boolean changed = false;
      int[] uses = new int[price.length];
      for (int shot : path.shots()) {
        uses[shot]++;
      }
      for (int i = 0; i < price.length; i++) {
        double next = Math.max(0, price[i] + stride * (uses[i] - 1));
        changed |= next != price[i];
        price[i] = next;
      }
      return changed;
    }

    private void consider(FreeChoice.Path path) {
      PoolOrder order = PoolOrder.of(path, objective, beside);
      for (double last = Objective.IMPOSSIBLE; order != null; ) {
        double cost = order.cost();
        if (cost < best - NEAR) {
          best = cost;
          bestOrder = order;
        }
        if (cost > last - NEAR) {
          return;
        }
        last = cost;
        order = order.bettered().flatMap(this::recut).orElse(null);
      }
    }

    /** The same order with the best cuts for it. */
    private Optional<PoolOrder> recut(PoolOrder order) {
      return OrderedCut.cuts(inOrder(order), order.shots().length, moments.size())
          .map(order::cutAt);
    }

    private Objective inOrder(PoolOrder order) {
      return new Objective(request, chosen(order), moments, each);
    }

    private List<Wanted> chosen(PoolOrder order) {
      return Arrays.stream(order.shots()).mapToObj(shots::get).toList();
    }

    private CutPlan film(PoolOrder order, double bound) {
      List<Wanted> chosen = chosen(order);
      List<String> leftOut = new ArrayList<>();
      for (Wanted shot : shots) {
        if (!chosen.contains(shot)) {
          leftOut.add(shot.placement().shot());
        }
      }
      return OrderedCut.build(
          request, chosen, moments, inOrder(order), order.cuts(), leftOut, bound);
    }
  }
}
