package app.latethistle.core.signal;

import java.util.ArrayList;
import java.util.List;

/**
 * Programme loudness as ITU-R BS.1770-4 defines it: K-weighting with the coefficients of its tables
 * 1 and 2, which hold at 48 kHz, blocks of 400 ms every 100 ms, an absolute gate at -70 LUFS and a
 * relative one 10 LU under the mean of what passes it.
 */
public final class Loudness {
  /** What silence measures, in LUFS. */
  public static final double SILENT = Double.NEGATIVE_INFINITY;

  private static final int RATE = 48_000;
  private static final int FINE = RATE / 100;
  private static final int TENTH = 10;
  private static final int MOMENTARY = 40;

  /** Tenths of a second in a block. */
  static final int BLOCK_TENTHS = MOMENTARY / TENTH;

  private static final int SHORT_TERM = 300;
  private static final double OFFSET = -0.691;
  private static final double ABSOLUTE_GATE = -70;
  private static final double RELATIVE_GATE = -10;
  private static final double RANGE_GATE = -20;

  private Loudness() {}

  /**
   * The integrated loudness in LUFS; {@link #SILENT} if nothing passes the gates. A sound shorter
   * than a block is measured as one block of its own length.
   *
   * @param stereo left and right in turn at 48 kHz
   */
  public static double integrated(float[] stereo) {
    Meter meter = new Meter();
    meter.add(stereo, stereo.length / 2);
    return meter.integrated();
  }

  /**
   * Measures a sound that comes block by block; keeps a number for every hundredth of a second, for
   * maxima move by less than the tenth that the integrated loudness is stepped by.
   */
  public static final class Meter {
    private final Weighting[] sides = {new Weighting(), new Weighting()};
    private final List<Double> energy = new ArrayList<>();
    private double step;
    private long frames;

    /**
     * Takes more of the sound.
     *
     * @param stereo left and right in turn at 48 kHz
     * @param count samples of each side
     */
    public void add(float[] stereo, int count) {
      add(stereo, 2, count);
    }

    /** Takes more of two sides in turn, or of one that is heard on both. */
    private void add(float[] samples, int channels, int count) {
      for (int at = 0; at < count; ) {
        int more = (int) Math.min(count - at, FINE - frames % FINE);
        double left = sides[0].energy(samples, channels * at, channels, more);
        step += left;
        step += channels == 1 ? left : sides[1].energy(samples, channels * at + 1, channels, more);
        frames += more;
        at += more;
        if (frames % FINE == 0) {
          energy.add(step);
          step = 0;
        }
      }
    }

    /** The integrated loudness of all there was, in LUFS; {@link #SILENT} as above. */
    public double integrated() {
      List<Double> blocks = means(MOMENTARY, TENTH);
      if (blocks.isEmpty()) {
        double sum = step;
        for (double e : energy) {
          sum += e;
        }
        blocks.add(sum / Math.max(1, frames));
      }
      return gated(blocks);
    }

    /** The loudest 400 ms, in LUFS (EBU Tech 3341); {@link #SILENT} if it is shorter. */
    public double momentaryMax() {
      return means(MOMENTARY, 1).stream().mapToDouble(Loudness::level).max().orElse(SILENT);
    }

    /** The loudest 3 s, in LUFS (EBU Tech 3341); {@link #SILENT} if it is shorter. */
    public double shortTermMax() {
      return means(SHORT_TERM, 1).stream().mapToDouble(Loudness::level).max().orElse(SILENT);
    }

    /**
     * The loudness range in LU (EBU Tech 3342): from the 10th to the 95th of a hundred of the 3 s
     * levels that are over -70 LUFS and less than 20 LU under their mean; 0 if it is shorter.
     */
    public double range() {
      List<Double> blocks = means(SHORT_TERM, TENTH);
      double gate = level(meanOver(blocks, ABSOLUTE_GATE)) + RANGE_GATE;
      double[] levels =
          blocks.stream()
              .mapToDouble(Loudness::level)
              .filter(l -> l > Math.max(ABSOLUTE_GATE, gate))
              .sorted()
              .toArray();
      return levels.length == 0 ? 0 : at(levels, 0.95) - at(levels, 0.10);
    }

    /** The nearest of sorted levels at a share of them. */
    private static double at(double[] levels, double share) {
      return levels[(int) Math.round(share * (levels.length - 1))];
    }

    /** How loud it was, step by step. */
    public LoudnessTrace trace() {
      int steps = energy.size() / TENTH;
      double[] tenths = new double[steps];
      for (int i = 0; i < steps * TENTH; i++) {
        tenths[i / TENTH] += energy.get(i) / LoudnessTrace.STEP;
      }
      return new LoudnessTrace(tenths);
    }

    /** The loudness of each tenth of a second and the 300 ms before it, in LUFS. */
    public double[] momentary() {
      return levels(MOMENTARY);
    }

    /** The loudness of each tenth of a second and what came before it, 3 s together, in LUFS. */
    public double[] shortTerm() {
      return levels(SHORT_TERM);
    }

    /** What is before the beginning counts as silence. */
    private double[] levels(int length) {
      double[] levels = new double[energy.size() / TENTH];
      double sum = 0;
      for (int i = 0; i < levels.length * TENTH; i++) {
        sum += energy.get(i) - (i >= length ? energy.get(i - length) : 0);
        if (i % TENTH == TENTH - 1) {
          levels[i / TENTH] = level(Math.max(0, sum) / ((double) FINE * length));
        }
      }
      return levels;
    }

    /** Means over so many hundredths of a second, one each so many. */
    private List<Double> means(int length, int every) {
      List<Double> means = new ArrayList<>();
      double sum = 0;
      for (int i = 0; i < energy.size(); i++) {
        sum += energy.get(i);
        if (i >= length) {
          sum -= energy.get(i - length);
        }
        if (i + 1 >= length && (i + 1 - length) % every == 0) {
          means.add(Math.max(0, sum) / ((double) FINE * length));
        }
      }
      return means;
    }
  }

  /**
   * The same of one channel that is heard on both sides.
   *
   * @param mono at 48 kHz
   */
  public static double ofMono(float[] mono) {
    Meter meter = new Meter();
    meter.add(mono, 1, mono.length);
    return meter.integrated();
  }

  /** The loudness of blocks, those too soft to count left out. */
  static double gated(List<Double> blocks) {
    double gate = level(meanOver(blocks, ABSOLUTE_GATE)) + RELATIVE_GATE;
    return level(meanOver(blocks, Math.max(ABSOLUTE_GATE, gate)));
  }

  private static double meanOver(List<Double> blocks, double gate) {
    double sum = 0;
    int count = 0;
    for (double block : blocks) {
      if (level(block) > gate) {
        sum += block;
        count++;
      }
    }
    return count == 0 ? 0 : sum / count;
  }

  static double level(double energy) {
    return energy <= 0 ? SILENT : OFFSET + 10 * Math.log10(energy);
  }

  /** The two filters in a row, for one channel. */
  private static final class Weighting {
    private double x1;
    private double x2;
    private double y1;
    private double y2;
    private double z1;
    private double z2;

    /** The energy of more samples, each so many after the one before. */
    double energy(float[] samples, int first, int every, int count) {
      double xBefore = x1;
      double xEarlier = x2;
      double yBefore = y1;
      double yEarlier = y2;
      double zBefore = z1;
      double zEarlier = z2;
      double energy = 0;
      for (int i = 0; i < count; i++) {
        double x = samples[first + every * i];
        double y =
            1.53512485958697 * x
                - 2.69169618940638 * xBefore
                + 1.19839281085285 * xEarlier
                + 1.69065929318241 * yBefore
                - 0.73248077421585 * yEarlier;
        double z =
            y - 2 * yBefore + yEarlier + 1.99004745483398 * zBefore - 0.99007225036621 * zEarlier;
        xEarlier = xBefore;
        xBefore = x;
        yEarlier = yBefore;
        yBefore = y;
        zEarlier = zBefore;
        zBefore = z;
        energy += z * z;
      }
      x1 = xBefore;
      x2 = xEarlier;
      y1 = yBefore;
      y2 = yEarlier;
      z1 = zBefore;
      z2 = zEarlier;
      return energy;
    }
  }
}
