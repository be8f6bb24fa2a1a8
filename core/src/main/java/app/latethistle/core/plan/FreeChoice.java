package app.latethistle.core.plan;

import java.util.Arrays;
import java.util.Optional;

/**
 * The best film in which a shot may be seen as often as one likes: a shortest path over (moment,
 * shot). With <i>m</i> moments, <i>k</i> shots that last at most <i>w</i> moments it takes {@code m
 * * k * (k + w)} steps.
 */
final class FreeChoice {
  private final Objective objective;
  private final int m;
  private final int k;
  private final double[] ends;

  /** {@code after[shot][j]}: what it costs that the shot follows another. */
  private final double[][] after;

  /** {@code costs[a * k + shot][b - a - 1]}, worked out once: only prices change. */
  private final double[][] costs;

  /** A path: shots one after the other, and the moments of its joints, one more. */
  static final class Path {
    private final int[] shots;
    private final int[] cuts;
    private final double cost;

    Path(int[] shots, int[] cuts, double cost) {
      this.shots = shots;
      this.cuts = cuts;
      this.cost = cost;
    }

    int[] shots() {
      return shots;
    }

    int[] cuts() {
      return cuts;
    }

    /** With the prices. */
    double cost() {
      return cost;
    }
  }

  /**
   * @param m how many moments there are
   * @param beside what it costs that one shot follows another
   */
  FreeChoice(Objective objective, int m, double[][] beside) {
    this.objective = objective;
    this.m = m;
    this.k = beside.length;
    after = new double[k][k];
    for (int shot = 0; shot < k; shot++) {
      for (int j = 0; j < k; j++) {
        after[shot][j] = j == shot ? Objective.IMPOSSIBLE : beside[j][shot];
      }
    }
    ends = objective.ends();
    costs = new double[m * k][];
    for (int a = 0; a < m; a++) {
      for (int shot = 0; shot < k; shot++) {
        costs[a * k + shot] = costs(a, shot);
      }
    }
  }

  private double[] costs(int a, int shot) {
    int count = 0;
    while (a + 1 + count < m && !objective.tooLong(shot, a, a + 1 + count)) {
      count++;
    }
    double[] row = new double[count];
    for (int i = 0; i < count; i++) {
      int b = a + 1 + i;
      row[i] =
          objective.allows(shot, a, b) && !objective.crossesLocked(shot, a, b)
              ? objective.cost(shot, a, b)
              : Objective.IMPOSSIBLE;
    }
    return row;
  }

  /** The path of the least cost, each use of a shot costing its price more. */
  Optional<Path> best(double[] price) {
    double[][] cost = new double[m][k];
    int[][] from = new int[m][k];
    int[][] before = new int[m][k];
    for (double[] row : cost) {
      Arrays.fill(row, Objective.IMPOSSIBLE);
    }
    for (int a = 0; a < m; a++) {
      for (int shot = 0; shot < k; shot++) {
        int previous = a == 0 ? -1 : cheapest(cost[a], shot);
        double reached =
            a == 0 ? 0 : previous < 0 ? Objective.IMPOSSIBLE : at(cost[a], previous, shot);
        if (reached == Objective.IMPOSSIBLE) {
          continue;
        }
        double[] row = costs[a * k + shot];
        for (int i = 0; i < row.length; i++) {
          int b = a + 1 + i;
          double total = reached + row[i] + price[shot];
          if (total < cost[b][shot]) {
            cost[b][shot] = total;
            from[b][shot] = a;
            before[b][shot] = previous;
          }
        }
      }
    }
    return trace(cost, from, before);
  }

  /** The shot before another, at a moment, that makes it cheapest; never the shot itself. */
  private int cheapest(double[] at, int shot) {
    int best = -1;
    double least = Objective.IMPOSSIBLE;
    double[] follows = after[shot];
    for (int j = 0; j < k; j++) {
      double total = at[j] + follows[j];
      if (total < least) {
        least = total;
        best = j;
      }
    }
    return best;
  }

  private double at(double[] cost, int previous, int shot) {
    return cost[previous] + after[shot][previous];
  }

  private Optional<Path> trace(double[][] cost, int[][] from, int[][] before) {
    int end = -1;
    int last = -1;
    double least = Objective.IMPOSSIBLE;
    for (int b = 1; b < m; b++) {
      for (int shot = 0; shot < k; shot++) {
        if (cost[b][shot] + ends[b] < least) {
          least = cost[b][shot] + ends[b];
          end = b;
          last = shot;
        }
      }
    }
    if (end < 0) {
      return Optional.empty();
    }
    int[] shots = new int[m];
    int[] cuts = new int[m + 1];
    int n = 0;
    for (int b = end, shot = last; b > 0; n++) {
      shots[n] = shot;
      cuts[n] = b;
      int previous = before[b][shot];
      b = from[b][shot];
      shot = previous;
    }
    int[] inOrder = new int[n];
    int[] joints = new int[n + 1];
    for (int i = 0; i < n; i++) {
      inOrder[i] = shots[n - 1 - i];
      joints[i + 1] = cuts[n - 1 - i];
    }
    return Optional.of(new Path(inOrder, joints, least));
  }
}
