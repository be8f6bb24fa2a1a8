package app.latethistle.core.music;

import app.latethistle.core.work.AllCores;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.Supplier;

/**
 * Rows of beats that a song may have: for each of several bands of tempo the strongest curve, and
 * along it the best row of beats by dynamic programming (Ellis 2007, "Beat Tracking by Dynamic
 * Programming"), and the best that lies half-way between those. They are sought on onsets, and once
 * more on what the network hears, which goes on where onsets are faint or between the beats.
 */
final class Rows {
  /**
   * How dear a beat away from the local tempo is, for a strict and a free player; Ellis's alpha.
   */
  private static final double[] TIGHTNESS = {500, 120};

  /** What it costs to change from on to between the beats. */
  private static final double SWITCH = 12;

  /** From so many standard deviations of onset strength on, a row may begin or go on. */
  private static final float BEGINS = 0.3f;

  /** Beats that make a row. */
  private static final int FEWEST = 4;

  /** Bands of tempo, in seconds a beat. */
  private static final double[][] BANDS = {
    {0.26, 0.40}, {0.35, 0.54}, {0.47, 0.72}, {0.63, 0.96}, {0.84, 1.3}
  };

  /** A row of beats. */
  static final class Row {
    private final int[] beats;
    private final TempoCurve curve;

    Row(int[] beats, TempoCurve curve) {
      this.beats = beats;
      this.curve = curve;
    }

    /** In hops, rising. */
    int[] beats() {
      return beats;
    }

    /** The tempo it was sought along. */
    TempoCurve curve() {
      return curve;
    }
  }

  private Rows() {}

  static List<Row> of(Features f, HeardBeats heard) {
    List<Row> rows = new ArrayList<>();
    float[] smooth = smooth(f.onsets);
    for (TempoCurve curve : curves(f.onsets, f.hop)) {
      List<Supplier<int[]>> ways = ways(smooth, f.hop, curve);
      ways.add(() -> LockedRow.of(smooth, curve.mean() / f.hop, f.hop));
      for (int[] beats : found(f.onsets, ways)) {
        addAll(rows, f, beats, curve);
      }
    }
    float[] likely = heard.standingOut();
    for (TempoCurve curve : curves(likely, f.hop)) {
      for (int[] beats : found(f.onsets, ways(likely, f.hop, curve))) {
        add(rows, beats, curve);
        add(rows, shifted(likely, beats, 1 / 2.0), curve);
      }
    }
    return rows;
  }

  /** A strict and a free player along a curve. */
  private static List<Supplier<int[]>> ways(float[] strengths, double hop, TempoCurve curve) {
    List<Supplier<int[]>> ways = new ArrayList<>();
    for (double tightness : TIGHTNESS) {
      ways.add(() -> row(strengths, hop, curve, tightness));
    }
    return ways;
  }

  /** What ways lead to, from the first onset to the last; rows of too few beats are left out. */
  private static List<int[]> found(float[] onsets, List<Supplier<int[]>> ways) {
    return AllCores.computed(ways, Supplier::get).stream()
        .map(row -> trim(onsets, row))
        .filter(beats -> beats.length >= FEWEST)
        .toList();
  }

  private static List<TempoCurve> curves(float[] strengths, double hop) {
    Tempogram tempogram = new Tempogram(strengths, hop);
    List<TempoCurve> curves = new ArrayList<>();
    for (double[] band : BANDS) {
      TempoCurve curve = tempogram.path(band[0], band[1]);
      if (curves.stream().noneMatch(c -> c.isLike(curve))) {
        curves.add(curve);
      }
    }
    return curves;
  }

  /** Adds a row, and those that lie between its beats or change sides. */
  private static void addAll(List<Row> rows, Features f, int[] beats, TempoCurve curve) {
    int[] mixed = phased(f, beats);
    for (int[] each :
        List.of(
            beats,
            shifted(f.onsets, beats, 1 / 2.0),
            shifted(f.onsets, beats, 1 / 3.0),
            shifted(f.onsets, beats, 2 / 3.0),
            mixed,
            shifted(f.onsets, mixed, 1 / 2.0))) {
      add(rows, each, curve);
    }
  }

  private static void add(List<Row> rows, int[] beats, TempoCurve curve) {
    if (beats.length >= FEWEST) {
      rows.add(new Row(beats, curve));
    }
  }

  /** The row a part of each gap later, each beat where an onset near it is. */
  private static int[] shifted(float[] onsets, int[] beats, double part) {
    int[] out = new int[beats.length - 1];
    for (int i = 0; i < out.length; i++) {
      out[i] = snap(onsets, (int) (beats[i] + part * (beats[i + 1] - beats[i])));
    }
    return out;
  }

  private static int snap(float[] onsets, int at) {
    int best = at;
    for (int t = Math.max(0, at - 3); t <= Math.min(onsets.length - 1, at + 3); t++) {
      if (onsets[t] > onsets[best] + 0.1 * Math.abs(t - at)) {
        best = t;
      }
    }
    return best;
  }

  /**
   * A row in which spans may lie between the beats instead of on them, where low onsets and harmony
   * speak for it over long: a row found by onsets alone changes sides when off-beats are strong.
   */
  private static int[] phased(Features f, int[] beats) {
    int n = beats.length - 1;
    double[] on = {0, 0};
    boolean[][] switched = new boolean[n][2];
    for (int i = 0; i < n; i++) {
      int mid = (beats[i] + beats[i + 1]) / 2;
      double d = weight(f, beats[i]) - weight(f, mid);
      switched[i][0] = on[1] - SWITCH > on[0];
      switched[i][1] = on[0] - SWITCH > on[1];
      double na = Math.max(on[0], on[1] - SWITCH) + d;
      double nb = Math.max(on[1], on[0] - SWITCH) - d;
      on[0] = na;
      on[1] = nb;
    }
    int state = on[0] >= on[1] ? 0 : 1;
    int[] states = new int[n];
    for (int i = n - 1; i >= 0; i--) {
      states[i] = state;
      if (switched[i][state]) {
        state = 1 - state;
      }
    }
    int[] out = new int[n + 1];
    int count = 0;
    for (int i = 0; i < n; i++) {
      int at = states[i] == 0 ? beats[i] : snap(f.onsets, (beats[i] + beats[i + 1]) / 2);
      int period = beats[i + 1] - beats[i];
      if (count == 0 || at - out[count - 1] > 0.7 * period) {
        out[count++] = at;
      }
    }
    return Arrays.copyOf(out, count);
  }

  private static double weight(Features f, int at) {
    return 0.5 * Math.min(4, strongest(f.low, at, 3))
        + 0.25 * Math.min(4, strongest(f.onsets, at, 3))
        + 0.5 * f.harmony[at];
  }

  private static int[] row(float[] onsets, double hop, TempoCurve curve, double tightness) {
    int n = onsets.length;
    double[] score = new double[n];
    int[] previous = new int[n];
    double[] logs = new double[(int) (2.2 * 1.8 / hop)];
    for (int i = 1; i < logs.length; i++) {
      logs[i] = Math.log(i);
    }
    for (int t = 0; t < n; t++) {
      double period = curve.at(t * hop) / hop;
      double log = Math.log(period);
      int earliest = t - (int) Math.round(1.6 * period);
      int latest = t - (int) Math.round(period / 1.6);
      double top = 0;
      int from = -1;
      for (int p = Math.max(0, earliest); p <= latest; p++) {
        double stretch = logs[t - p] - log;
        double value = score[p] - tightness * stretch * stretch;
        if (value > top) {
          top = value;
          from = p;
        }
      }
      score[t] = onsets[t] + top;
      previous[t] = from;
    }
    int end = n - 1;
    double period = curve.at(end * hop) / hop;
    for (int t = Math.max(0, (int) (n - period)); t < n; t++) {
      if (score[t] > score[end]) {
        end = t;
      }
    }
    int[] beats = new int[n];
    int count = 0;
    for (int t = end; t >= 0; t = previous[t]) {
      beats[count++] = t;
    }
    int[] row = new int[count];
    for (int i = 0; i < count; i++) {
      row[i] = beats[count - 1 - i];
    }
    return row;
  }

  /** Goes on with the first and last gap of a row as far as something begins there. */
  static int[] extend(float[] onsets, int[] row) {
    ArrayDeque<Integer> beats = new ArrayDeque<>();
    for (int beat : row) {
      beats.add(beat);
    }
    int gap = row[1] - row[0];
    int next = row[0] - gap;
    while (next >= 0 && strongest(onsets, next, 4) >= BEGINS) {
      beats.addFirst(snap(onsets, next));
      next = beats.getFirst() - gap;
    }
    gap = row[row.length - 1] - row[row.length - 2];
    next = row[row.length - 1] + gap;
    while (next < onsets.length && strongest(onsets, next, 4) >= BEGINS) {
      beats.addLast(snap(onsets, next));
      next = beats.getLast() + gap;
    }
    return beats.stream().mapToInt(Integer::intValue).toArray();
  }

  /** Leaves out beats before the first and after the last audible one. */
  private static int[] trim(float[] onsets, int[] row) {
    int first = 0;
    int last = row.length - 1;
    while (first < last && strongest(onsets, row[first], 4) < BEGINS) {
      first++;
    }
    while (last > first && strongest(onsets, row[last], 4) < 0.1) {
      last--;
    }
    return Arrays.copyOfRange(row, first, last + 1);
  }

  private static float[] smooth(float[] onsets) {
    float[] out = new float[onsets.length];
    float[] kernel = {0.25f, 0.7f, 1, 0.7f, 0.25f};
    for (int i = 0; i < onsets.length; i++) {
      for (int k = -2; k <= 2; k++) {
        if (i + k >= 0 && i + k < onsets.length) {
          out[i] += kernel[k + 2] * onsets[i + k];
        }
      }
    }
    return out;
  }

  /** The strongest of the values around a hop. */
  static float strongest(float[] onsets, int at, int radius) {
    float top = 0;
    for (int i = Math.max(0, at - radius); i <= Math.min(onsets.length - 1, at + radius); i++) {
      top = Math.max(top, onsets[i]);
    }
    return top;
  }
}
