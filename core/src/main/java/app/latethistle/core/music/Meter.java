package app.latethistle.core.music;

/**
 * How many beats make a bar, and which beat begins the first one. Bars of two, three, four and five
 * are tried at every phase. On downbeats harmony and timbre change and low notes begin more than on
 * other beats, and in bars of four the high sounds of a backbeat fall on the second and fourth;
 * beats a bar apart sound alike. Four is taken unless another is plainly better. Bars of six are
 * not tried: most music of three repeats after two bars as well, and is counted in three.
 *
 * @param beats beats in a bar
 * @param first the first beat that begins a bar
 */
record Meter(int beats, int first) {
  private static final int[] COUNTS = {4, 3, 2, 5};

  /** How far bars of four are ahead, in the weighted standard deviations of the accents. */
  private static final double FOURS = 1.7;

  /** So many beats apart beats are compared. */
  private static final int FARTHEST = 6;

  /** The weight of high sounds on second and fourth beats, as of {@link #accents}. */
  private static final double BACKBEAT = 0.95;

  /**
   * The weight of how much more alike beats are that lie a bar of three or five apart than others.
   * From 12 on as many waltzes are counted right, of 16 fitted and 12 chosen on; from 16 on all of
   * four accompaniments in five.
   */
  private static final double ALIKE = 16;

  static Meter of(Features f, int[] beats, BeatSounds sounds) {
    if (beats.length < 8) {
      return new Meter(4, 0);
    }
    double[] accent = accents(f, beats, sounds);
    double[] high = new double[beats.length];
    for (int i = 0; i < high.length; i++) {
      high[i] = Math.min(4, Rows.strongest(f.high, beats[i], 4));
    }
    double[] backbeat = new double[beats.length];
    add(backbeat, high, BACKBEAT);
    double[] apart = apart(sounds);
    double threes = ALIKE * ahead(apart[3], apart[4]);
    double fives = ALIKE * ahead(apart[5], Math.min(Math.min(apart[3], apart[4]), apart[6]));
    Meter best = new Meter(4, 0);
    double top = Double.NEGATIVE_INFINITY;
    for (int count : COUNTS) {
      for (int phase = 0; phase < count; phase++) {
        double score =
            contrast(accent, count, phase)
                + switch (count) {
                  case 4 -> FOURS + backbeat(backbeat, phase);
                  case 3 -> threes;
                  case 5 -> fives;
                  default -> 0;
                };
        if (score > top) {
          top = score;
          best = new Meter(count, phase);
        }
      }
    }
    return best;
  }

  /**
   * How much each beat sounds like the beginning of a bar. The weights, and the backbeat's, were
   * fitted by logistic regression over the phases of 48 rendered pieces and rounded; each piece
   * left out in turn, the rest found the right phase of 94 in 100.
   */
  private static double[] accents(Features f, int[] beats, BeatSounds sounds) {
    int n = beats.length;
    double[] low = new double[n];
    double[] harmony = new double[n];
    double[] timbre = new double[n];
    double[] chord = new double[n];
    for (int i = 0; i < n; i++) {
      low[i] = Math.min(5, Rows.strongest(f.low, beats[i], 4));
      harmony[i] = Rows.strongest(f.harmony, beats[i], 5);
      if (i > 0) {
        timbre[i] = BeatSounds.rise(sounds.timbre[i], sounds.timbre[i - 1]);
      }
      if (i > 1 && i + 1 < n) {
        chord[i] =
            BeatSounds.angle(
                sum(sounds.harmony[i - 2], sounds.harmony[i - 1]),
                sum(sounds.harmony[i], sounds.harmony[i + 1]));
      }
    }
    double[] accent = new double[n];
    add(accent, low, 0.65);
    add(accent, harmony, 1.4);
    add(accent, timbre, 1.4);
    add(accent, chord, 2.3);
    return accent;
  }

  /** How much stronger the second and fourth beats of bars of four are than the others. */
  private static double backbeat(double[] high, int phase) {
    double sum = 0;
    for (int i = 0; i < high.length; i++) {
      sum += (i - phase) % 2 == 0 ? -high[i] : high[i];
    }
    return sum / high.length;
  }

  /** How much the timbre of beats differs that are so many apart, in the mean. */
  private static double[] apart(BeatSounds sounds) {
    double[] apart = new double[FARTHEST + 1];
    for (int away = 1; away <= FARTHEST; away++) {
      for (int i = 0; i + FARTHEST < sounds.size(); i++) {
        apart[away] += BeatSounds.rise(sounds.timbre[i], sounds.timbre[i + away]);
      }
    }
    return apart;
  }

  /** How much more alike one is than another, 0 to 1; 0 where it is less. */
  private static double ahead(double apart, double otherApart) {
    return Math.max(0, (otherApart - apart) / (otherApart + apart + 1e-6));
  }

  private static float[] sum(float[] a, float[] b) {
    float[] sum = a.clone();
    for (int k = 0; k < sum.length; k++) {
      sum[k] += b[k];
    }
    return sum;
  }

  /** Adds values, scaled to a mean of 0 and a standard deviation of {@code weight}. */
  private static void add(double[] accent, double[] values, double weight) {
    double mean = 0;
    for (double v : values) {
      mean += v / values.length;
    }
    double variance = 1e-9;
    for (double v : values) {
      variance += (v - mean) * (v - mean) / values.length;
    }
    for (int i = 0; i < accent.length; i++) {
      accent[i] += weight * (values[i] - mean) / Math.sqrt(variance);
    }
  }

  /** The mean accent of the downbeats, scaled so that it is as likely by chance at every count. */
  private static double contrast(double[] accent, int count, int phase) {
    double sum = 0;
    int n = 0;
    for (int i = phase; i < accent.length; i += count) {
      sum += accent[i];
      n++;
    }
    return sum / n * Math.sqrt((count - 1) / 3.0);
  }
}
