package app.latethistle.core.caption;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.IntBinaryOperator;
import java.util.function.IntToDoubleFunction;

/**
 * The best breaking of words into lines: a least sum, over all breakings, of how much each line is
 * too wide, how unlike the lines are, and how badly each break suits the sense.
 */
public final class LineBreaks {
  /** What a unit costs by which a line is too wide: more than any sense. */
  private static final double TOO_WIDE = 100;

  private final int words;
  private final int most;
  private final IntBinaryOperator width;
  private final IntToDoubleFunction badness;

  /**
   * @param words how many there are, 1 or more
   * @param most the width of a line
   * @param width of a line from one word to before another
   * @param badness of a break after so many words
   */
  public LineBreaks(int words, int most, IntBinaryOperator width, IntToDoubleFunction badness) {
    this.words = words;
    this.most = most;
    this.width = width;
    this.badness = badness;
  }

  /** The places of the words that begin lines, the first of them 0, for exactly so many lines. */
  public List<Integer> into(int lines) {
    int count = Math.min(lines, words);
    double mean = (double) width.applyAsInt(0, words) / count;
    double[][] best = new double[count + 1][words + 1];
    int[][] from = new int[count + 1][words + 1];
    for (double[] row : best) {
      Arrays.fill(row, Double.POSITIVE_INFINITY);
    }
    best[0][0] = 0;
    for (int line = 1; line <= count; line++) {
      for (int end = line; end <= words; end++) {
        for (int start = line - 1; start < end; start++) {
          double cost = best[line - 1][start] + cost(start, end, mean);
          if (cost < best[line][end]) {
            best[line][end] = cost;
            from[line][end] = start;
          }
        }
      }
    }
    List<Integer> starts = new ArrayList<>();
    int end = words;
    for (int line = count; line > 0; line--) {
      end = from[line][end];
      starts.add(0, end);
    }
    return starts;
  }

  /** The fewest lines into which they go, or as many as are allowed. */
  public List<Integer> fewest(int mostLines) {
    int lines = 1;
    List<Integer> starts = into(1);
    while (lines < Math.min(mostLines, words) && isTooWide(starts)) {
      lines++;
      starts = into(lines);
    }
    return starts;
  }

  /** What a breaking costs. */
  public double cost(List<Integer> starts) {
    double mean = (double) width.applyAsInt(0, words) / starts.size();
    double sum = 0;
    for (int i = 0; i < starts.size(); i++) {
      sum += cost(starts.get(i), i + 1 < starts.size() ? starts.get(i + 1) : words, mean);
    }
    return sum;
  }

  private boolean isTooWide(List<Integer> starts) {
    for (int i = 0; i < starts.size(); i++) {
      int end = i + 1 < starts.size() ? starts.get(i + 1) : words;
      if (width.applyAsInt(starts.get(i), end) > most) {
        return true;
      }
    }
    return false;
  }

  private double cost(int start, int end, double mean) {
    int wide = width.applyAsInt(start, end);
    // Unlikeness is counted in tenths of a line, squared, so that it weighs beside the sense.
    double unlike = 10 * (wide - mean) / most;
    double over = Math.max(0, wide - most);
    double broken = end < words ? badness.applyAsDouble(end) : 0;
    return unlike * unlike + TOO_WIDE * over + broken;
  }
}
