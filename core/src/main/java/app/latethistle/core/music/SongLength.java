package app.latethistle.core.music;

import app.latethistle.core.Refused;
import app.latethistle.core.signal.MonoSound;
import app.latethistle.core.time.Samples;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;

/**
 * Makes a song a wanted length out of whole bars. Of all ways to go from its first bar to its last
 * in so many bars, the one whose joins are least audible is found by dynamic programming. A join
 * from one bar to another costs what the two beats before and after it differ, in timbre, harmony
 * and level, from what the song itself has there; it costs more where the count of four bars is
 * broken, and the song goes on for at least four bars between joins.
 */
public final class SongLength {
  /** How many ways are offered. */
  public static final int OFFERED = 3;

  private static final int LEAST_RUN = 4;
  private static final double A_JOIN = 0.3;
  private static final double OUT_OF_PHRASE = 0.3;

  /** Beats on either side of a join that are compared. */
  private static final int AROUND = 2;

  /** What is kept of the ring of the last beat where an ending is cut short, in seconds. */
  private static final double RING = 1;

  private final BeatGrid grid;
  private final long songEnd;
  private final int bars;
  private final double[][] cost;

  private SongLength(BeatGrid grid, BeatSounds sounds, long songEnd) {
    this.grid = grid;
    this.songEnd = songEnd;
    bars = grid.lastBar();
    cost = costs(sounds);
  }

  /**
   * The best ways to make a song last so long, the least audible first. Each keeps the opening and
   * the ending; what is left of half a bar is made up in the ring of the ending.
   *
   * @param song mono; 22,050 samples a second are enough
   * @param grid its beats
   * @param length wanted, in samples at 48 kHz
   * @throws IllegalArgumentException if the song has too few bars, or the length cannot be reached
   *     with its opening and ending whole
   */
  public static List<SongPlan> plans(MonoSound song, BeatGrid grid, long length) {
    int perBar = grid.beatsPerBar();
    if (grid.size() - grid.firstDownbeat() < 2 * LEAST_RUN * perBar) {
      throw new Refused(
          "The song has fewer than " + 2 * LEAST_RUN + " bars; it can only be trimmed.");
    }
    long end = Samples.ofSeconds(song.seconds());
    BeatSounds sounds = BeatSounds.of(new Features(song), grid);
    return new SongLength(grid, sounds, end).plans(length);
  }

  /** Where a bar begins, in samples; the bar after the last begins where the song ends. */
  private long startOf(int bar) {
    int beat = grid.firstDownbeat() + bar * grid.beatsPerBar();
    return beat < grid.size() ? grid.sampleOf(beat) : songEnd;
  }

  private List<SongPlan> plans(long length) {
    double usual = (double) (startOf(bars - 1) - startOf(0)) / (bars - 1);
    long fixed = startOf(0) + songEnd - startOf(bars - 1);
    int about = (int) Math.round((length - fixed) / usual) + 1;
    if (about < 2 * LEAST_RUN) {
      throw new Refused(
          String.format(
              Locale.ROOT,
              "%.1f s are too short to keep the opening and the ending of the song; the least is"
                  + " %.1f s. Trim it instead.",
              Samples.toSeconds(length),
              Samples.toSeconds(Math.round(fixed + usual * (2 * LEAST_RUN - 1)))));
    }
    if (about > 4 * bars) {
      throw new Refused(
          String.format(
              Locale.ROOT,
              "%.1f s would be more than four times the song; %.1f s is the most.",
              Samples.toSeconds(length),
              Samples.toSeconds(Math.round(usual * 4 * bars))));
    }
    long ring = songEnd - grid.sampleOf(grid.size() - 1) - Samples.ofSeconds(RING);
    List<SongPlan> found = new ArrayList<>();
    boolean[][] used = new boolean[bars][bars];
    for (int i = 0; i < OFFERED; i++) {
      SongPlan best = null;
      double least = Double.MAX_VALUE;
      for (int count = Math.max(2 * LEAST_RUN, about - 1); count <= about + 1; count++) {
        int[] path = path(count, used);
        if (path.length > 0) {
          SongPlan plan = plan(path, length);
          double off = off(plan, length, ring, usual);
          if (plan.cost() + off < least) {
            least = plan.cost() + off;
            best = plan;
          }
        }
      }
      if (best == null) {
        break;
      }
      found.add(best);
      if (best.joins().isEmpty()) {
        break;
      }
      forbid(best, used);
    }
    if (found.isEmpty()) {
      throw new Refused("No way was found to make the song that long.");
    }
    found.sort(Comparator.comparingDouble(SongPlan::cost));
    return found;
  }

  /** What it costs that the bars do not add up: silence after the end, or an end that is cut. */
  private static double off(SongPlan plan, long length, long ring, double bar) {
    long sum = plan.kept().stream().mapToLong(SongPlan.Kept::length).sum();
    double tooLong = Math.max(0, sum - length - Math.max(0, ring)) / bar;
    return Math.abs(sum - length) / bar + 6 * tooLong;
  }

  /** Ways that are offered differ in their joins by more than a bar. */
  private void forbid(SongPlan plan, boolean[][] used) {
    for (int k = 1; k < plan.kept().size(); k++) {
      int from = plan.kept().get(k - 1).lastBar() - 1;
      int to = plan.kept().get(k).firstBar() - 1;
      for (int i = Math.max(0, from - 1); i <= Math.min(bars - 1, from + 1); i++) {
        for (int j = Math.max(0, to - 1); j <= Math.min(bars - 1, to + 1); j++) {
          used[i][j] = true;
        }
      }
    }
  }

  private SongPlan plan(int[] path, long length) {
    List<SongPlan.Kept> kept = new ArrayList<>();
    List<SongPlan.Join> joins = new ArrayList<>();
    double sum = 0;
    long at = 0;
    int first = 0;
    for (int k = 0; k < path.length; k++) {
      boolean ends = k + 1 == path.length;
      if (!ends && path[k + 1] == path[k] + 1) {
        continue;
      }
      long start = first == 0 ? 0 : startOf(path[first]);
      long end = ends ? songEnd : startOf(path[k] + 1);
      kept.add(new SongPlan.Kept(path[first] + 1, path[k] + 1, start, end));
      at += end - start;
      if (!ends) {
        joins.add(new SongPlan.Join(at, cost[path[k]][path[k + 1]]));
        sum += cost[path[k]][path[k + 1]] + A_JOIN;
      }
      first = k + 1;
    }
    return new SongPlan(kept, joins, length, sum);
  }

  /** The cheapest way from the first bar to the last in so many bars; empty if there is none. */
  private int[] path(int count, boolean[][] used) {
    // A state is a bar and how many bars the song has gone on for, up to the least run.
    double[][] best = new double[bars][LEAST_RUN + 1];
    int[][][] from = new int[count][bars][LEAST_RUN + 1];
    fill(best);
    best[0][1] = 0;
    for (int k = 1; k < count; k++) {
      double[][] next = new double[bars][LEAST_RUN + 1];
      fill(next);
      for (int b = 0; b < bars; b++) {
        for (int run = 1; run <= LEAST_RUN; run++) {
          double here = best[b][run];
          int longer = Math.min(LEAST_RUN, run + 1);
          if (here < Double.MAX_VALUE && b + 1 < bars && here < next[b + 1][longer]) {
            next[b + 1][longer] = here;
            from[k][b + 1][longer] = b * (LEAST_RUN + 1) + run;
          }
        }
        double here = best[b][LEAST_RUN];
        for (int j = 1; here < Double.MAX_VALUE && j < bars; j++) {
          double to = here + cost[b][j] + A_JOIN;
          if (j != b + 1 && !used[b][j] && to < next[j][1]) {
            next[j][1] = to;
            from[k][j][1] = b * (LEAST_RUN + 1) + LEAST_RUN;
          }
        }
      }
      best = next;
    }
    int bar = bars - 1;
    int run = LEAST_RUN;
    if (best[bar][run] == Double.MAX_VALUE) {
      return new int[0];
    }
    int[] path = new int[count];
    for (int k = count - 1; k >= 0; k--) {
      path[k] = bar;
      int state = from[k][bar][run];
      bar = state / (LEAST_RUN + 1);
      run = state % (LEAST_RUN + 1);
    }
    return path;
  }

  private static void fill(double[][] values) {
    for (double[] row : values) {
      Arrays.fill(row, Double.MAX_VALUE);
    }
  }

  /** What a join out of one bar into another costs. */
  private double[][] costs(BeatSounds sounds) {
    double[][] apart = new double[bars][bars];
    double sum = 0;
    int pairs = 0;
    for (int i = 0; i + 1 < bars; i++) {
      for (int j = 1; j < bars; j++) {
        apart[i][j] = apart(sounds, i + 1, j);
        sum += j == i + 1 ? 0 : apart[i][j];
        pairs += j == i + 1 ? 0 : 1;
      }
    }
    double usual = Math.max(1e-6, sum / Math.max(1, pairs));
    for (int i = 0; i < bars; i++) {
      for (int j = 0; j < bars; j++) {
        boolean there = i + 1 < bars && j > 0;
        boolean inPhrase = Math.floorMod(j - i - 1, LEAST_RUN) == 0;
        apart[i][j] =
            there ? apart[i][j] / usual + (inPhrase ? 0 : OUT_OF_PHRASE) : Double.MAX_VALUE / 4;
      }
    }
    return apart;
  }

  /** How much the beats around the start of one bar differ from those around another's. */
  private double apart(BeatSounds sounds, int barA, int barB) {
    int a = grid.firstDownbeat() + barA * grid.beatsPerBar();
    int b = grid.firstDownbeat() + barB * grid.beatsPerBar();
    double sum = 0;
    for (int k = -AROUND; k < AROUND; k++) {
      int x = Math.max(0, Math.min(sounds.size() - 1, a + k));
      int y = Math.max(0, Math.min(sounds.size() - 1, b + k));
      sum +=
          BeatSounds.angle(sounds.timbre[x], sounds.timbre[y])
              + 0.6 * BeatSounds.angle(sounds.harmony[x], sounds.harmony[y])
              + 0.3 * Math.abs(sounds.level[x] - sounds.level[y]);
    }
    return sum / (2 * AROUND);
  }
}
