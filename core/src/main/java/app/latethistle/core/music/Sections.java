package app.latethistle.core.music;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Finds a song's sections. Bars are held against each other by timbre, harmony and level; a border
 * is where the bars before are alike, the bars after are alike, and the two are not (Foote 2000,
 * "Automatic audio segmentation using a measure of audio novelty", with a square kernel), on a
 * downbeat. Sections whose mean bars are alike are of one kind.
 */
final class Sections {
  /** Bars on each side of a border that are compared. */
  private static final int KERNEL = 4;

  /** Bars a section lasts at least. */
  private static final int SHORTEST = 4;

  /** Novelty a border has at least, in standard deviations over its mean. */
  private static final double PLAIN = 0.6;

  /** Sections nearer than this part of the mean distance of bars are of one kind. */
  private static final double ALIKE = 0.55;

  private final double[][] bars;
  private final double[] level;
  private final double[][] apart;

  private Sections(double[][] bars, double[] level) {
    this.bars = bars;
    this.level = level;
    int n = bars.length;
    apart = new double[n][n];
    for (int i = 0; i < n; i++) {
      for (int j = 0; j < i; j++) {
        apart[i][j] = distance(bars[i], bars[j]);
        apart[j][i] = apart[i][j];
      }
    }
  }

  /**
   * The sections of a song, one after the other from its start to its end.
   *
   * @param end of the song, in samples
   */
  static List<Section> of(BeatGrid grid, BeatSounds sounds, long end) {
    int count = grid.beatsPerBar();
    int n = (grid.size() - grid.firstDownbeat()) / count;
    if (n < 2 * SHORTEST) {
      return List.of(new Section(0, end, 'A', Section.Name.FULL, 1));
    }
    double[][] bars = new double[n][];
    double[] level = new double[n];
    for (int b = 0; b < n; b++) {
      int first = grid.firstDownbeat() + b * count;
      bars[b] = bar(sounds, first, count);
      for (int i = first; i < first + count; i++) {
        level[b] += sounds.level[i] / count;
      }
    }
    Sections found = new Sections(bars, level);
    List<Integer> borders = found.borders();
    return found.sections(grid, borders, end);
  }

  /** Timbre and harmony of a bar, each part weighing alike. */
  private static double[] bar(BeatSounds sounds, int first, int count) {
    int timbre = sounds.timbre[0].length;
    double[] bar = new double[timbre + sounds.harmony[0].length];
    for (int i = first; i < first + count; i++) {
      for (int k = 0; k < timbre; k++) {
        bar[k] += sounds.timbre[i][k] / count / timbre * 2;
      }
      for (int k = timbre; k < bar.length; k++) {
        bar[k] += sounds.harmony[i][k - timbre] / count / 6;
      }
    }
    return bar;
  }

  private static double distance(double[] a, double[] b) {
    double sum = 0;
    for (int k = 0; k < a.length; k++) {
      sum += Math.abs(a[k] - b[k]);
    }
    return sum;
  }

  /** How new what follows each bar line is. */
  private double[] novelty() {
    int n = bars.length;
    double[] novelty = new double[n];
    for (int b = 2; b + 2 <= n; b++) {
      int reach = Math.min(KERNEL, Math.min(b, n - b));
      double across = 0;
      double within = 0;
      for (int i = 0; i < reach; i++) {
        for (int j = 0; j < reach; j++) {
          across += apart[b - 1 - i][b + j];
          within += (apart[b - 1 - i][b - 1 - j] + apart[b + i][b + j]) / 2;
        }
      }
      novelty[b] = (across - within) / reach / reach;
    }
    return novelty;
  }

  private List<Integer> borders() {
    double[] novelty = novelty();
    double mean = Arrays.stream(novelty).average().orElse(0);
    double variance = Arrays.stream(novelty).map(v -> (v - mean) * (v - mean)).average().orElse(0);
    double least = mean + PLAIN * Math.sqrt(variance);
    Integer[] order = new Integer[novelty.length];
    Arrays.setAll(order, i -> i);
    Arrays.sort(order, (a, b) -> Double.compare(novelty[b], novelty[a]));
    List<Integer> borders = new ArrayList<>();
    for (int b : order) {
      boolean free = borders.stream().allMatch(o -> Math.abs(o - b) >= SHORTEST);
      boolean peak = novelty[b] >= least && novelty[b] > 1e-6;
      // Two bars before the end are no section, but an ending is.
      if (peak && free && b >= 2 && b <= novelty.length - 2) {
        borders.add(b);
      }
    }
    borders.sort(Integer::compare);
    return borders;
  }

  private List<Section> sections(BeatGrid grid, List<Integer> borders, long end) {
    List<Integer> starts = new ArrayList<>();
    starts.add(0);
    starts.addAll(borders);
    int n = starts.size();
    double[][] mean = new double[n][];
    double[] loud = new double[n];
    double usual = 0;
    for (int s = 0; s < n; s++) {
      int from = starts.get(s);
      int to = s + 1 < n ? starts.get(s + 1) : bars.length;
      mean[s] = new double[bars[0].length];
      for (int b = from; b < to; b++) {
        for (int k = 0; k < mean[s].length; k++) {
          mean[s][k] += bars[b][k] / (to - from);
        }
        loud[s] += level[b] / (to - from);
      }
    }
    for (double[] row : apart) {
      usual += Arrays.stream(row).sum() / apart.length / apart.length;
    }
    double loudest = Arrays.stream(loud).max().orElse(1);
    List<Section> sections = new ArrayList<>();
    char[] kinds = kinds(mean, ALIKE * usual);
    for (int s = 0; s < n; s++) {
      long start =
          s == 0 ? 0 : grid.sampleOf(grid.firstDownbeat() + starts.get(s) * grid.beatsPerBar());
      long until =
          s + 1 == n
              ? end
              : grid.sampleOf(grid.firstDownbeat() + starts.get(s + 1) * grid.beatsPerBar());
      double energy = loudest > 0 ? loud[s] / loudest : 0;
      sections.add(new Section(start, until, kinds[s], name(loud, s, loudest), energy));
    }
    return sections;
  }

  private static char[] kinds(double[][] mean, double near) {
    char[] kinds = new char[mean.length];
    char next = 'A';
    for (int s = 0; s < mean.length; s++) {
      int like = -1;
      for (int t = 0; t < s; t++) {
        double d = distance(mean[s], mean[t]);
        if (d < near && (like < 0 || d < distance(mean[s], mean[like]))) {
          like = t;
        }
      }
      kinds[s] = like < 0 ? next++ : kinds[like];
    }
    return kinds;
  }

  /** By loudness against the loudest, and whether the next section is louder. */
  private static Section.Name name(double[] loud, int s, double loudest) {
    boolean last = s == loud.length - 1;
    double share = loud[s] / loudest;
    if (s == 0 && loud.length > 1 && share < 0.97) {
      return Section.Name.OPENING;
    }
    if (last && loud.length > 2 && share < 0.92) {
      return Section.Name.CODA;
    }
    if (share > 0.86) {
      return Section.Name.FULL;
    }
    return !last && loud[s + 1] > 1.05 * loud[s] ? Section.Name.BUILD : Section.Name.QUIET;
  }
}
