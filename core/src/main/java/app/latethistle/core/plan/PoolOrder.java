package app.latethistle.core.plan;

import java.util.Optional;

/** Shots of a pool in an order, each seen once, cut at moments. */
final class PoolOrder {
  private final int[] shots;
  private final int[] cuts;
  private final Objective objective;
  private final double[][] beside;

  PoolOrder(int[] shots, int[] cuts, Objective objective, double[][] beside) {
    this.shots = shots;
    this.cuts = cuts;
    this.objective = objective;
    this.beside = beside;
  }

  /** Numbers of the pool's shots, one after the other. */
  int[] shots() {
    return shots;
  }

  /** The moments of the joints, one more than shots. */
  int[] cuts() {
    return cuts;
  }

  /**
   * A path as a film: where it sees a shot again, the unused shot that costs least there is seen
   * instead; where none will do, the film is not to be had, and null is the answer.
   */
  static PoolOrder of(FreeChoice.Path path, Objective objective, double[][] beside) {
    int[] shots = path.shots().clone();
    boolean[] used = new boolean[beside.length];
    boolean[] again = new boolean[shots.length];
    for (int i = 0; i < shots.length; i++) {
      again[i] = used[shots[i]];
      used[shots[i]] = true;
    }
    PoolOrder order = new PoolOrder(shots, path.cuts().clone(), objective, beside);
    for (int i = 0; i < shots.length; i++) {
      if (again[i]) {
        int best = order.cheapestUnused(i, used);
        if (best < 0) {
          return null;
        }
        shots[i] = best;
        used[best] = true;
      }
    }
    return order;
  }

  private int cheapestUnused(int place, boolean[] used) {
    int best = -1;
    double least = Objective.IMPOSSIBLE;
    for (int shot = 0; shot < used.length; shot++) {
      double cost = used[shot] ? Objective.IMPOSSIBLE : at(place, shot) + around(place, shot);
      if (cost < least) {
        least = cost;
        best = shot;
      }
    }
    return best;
  }

  /** What a shot costs at a place, whatever is beside it. */
  private double at(int place, int shot) {
    int from = cuts[place];
    int to = cuts[place + 1];
    boolean may = objective.allows(shot, from, to) && !objective.crossesLocked(shot, from, to);
    return may ? objective.cost(shot, from, to) : Objective.IMPOSSIBLE;
  }

  /** What a shot costs beside those around a place. */
  private double around(int place, int shot) {
    double cost = place > 0 ? beside[shots[place - 1]][shot] : 0;
    return place + 1 < shots.length ? cost + beside[shot][shots[place + 1]] : cost;
  }

  /** What the whole costs. */
  double cost() {
    double cost = objective.ends()[cuts[shots.length]];
    for (int i = 0; i < shots.length; i++) {
      cost += at(i, shots[i]);
      cost += i > 0 ? beside[shots[i - 1]][shots[i]] : 0;
    }
    return cost;
  }

  /** The same order, cut at other moments. */
  PoolOrder cutAt(int[] moments) {
    return new PoolOrder(shots, moments, objective, beside);
  }

  /** The order after exchanges that make it cheaper; empty if none does. */
  Optional<PoolOrder> bettered() {
    PoolOrder next = new PoolOrder(shots.clone(), cuts, objective, beside);
    boolean any = false;
    for (boolean more = true; more; ) {
      more = next.exchangeTwo() || next.exchangeForUnused();
      any |= more;
    }
    return any ? Optional.of(next) : Optional.empty();
  }

  private boolean exchangeTwo() {
    boolean any = false;
    for (int i = 0; i < shots.length; i++) {
      for (int j = i + 1; j < shots.length; j++) {
        double before = local(i, j);
        swap(i, j);
        if (local(i, j) < before - 1e-9) {
          any = true;
        } else {
          swap(i, j);
        }
      }
    }
    return any;
  }

  private double local(int i, int j) {
    double cost = at(i, shots[i]) + at(j, shots[j]) + around(i, shots[i]) + around(j, shots[j]);
    // What is between two that stand beside each other was counted twice.
    return j == i + 1 ? cost - beside[shots[i]][shots[j]] : cost;
  }

  private void swap(int i, int j) {
    int kept = shots[i];
    shots[i] = shots[j];
    shots[j] = kept;
  }

  private boolean exchangeForUnused() {
    boolean[] used = new boolean[beside.length];
    for (int shot : shots) {
      used[shot] = true;
    }
    boolean any = false;
    for (int i = 0; i < shots.length; i++) {
      int best = cheapestUnused(i, used);
      if (best >= 0
          && at(i, best) + around(i, best) < at(i, shots[i]) + around(i, shots[i]) - 1e-9) {
        used[shots[i]] = false;
        used[best] = true;
        shots[i] = best;
        any = true;
      }
    }
    return any;
  }
}
