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
  private static final int STEP = RATE / 10;
  private static final int STEPS_IN_BLOCK = 4;
  private static final double OFFSET = -0.691;
  private static final double ABSOLUTE_GATE = -70;
  private static final double RELATIVE_GATE = -10;

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

  /** Measures a sound that comes block by block; keeps a number for every tenth of a second. */
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
      for (int i = 0; i < count; i++) {
        for (int side = 0; side < 2; side++) {
          double w = sides[side].next(stereo[2 * i + side]);
          step += w * w;
        }
        if (++frames % STEP == 0) {
          energy.add(step);
          step = 0;
        }
      }
    }

    /** The integrated loudness of all there was, in LUFS; {@link #SILENT} as above. */
    public double integrated() {
      List<Double> blocks = new ArrayList<>();
      if (frames < (long) STEP * STEPS_IN_BLOCK) {
        double sum = step;
        for (double e : energy) {
          sum += e;
        }
        blocks.add(sum / Math.max(1, frames));
      } else {
        for (int k = 0; k + STEPS_IN_BLOCK <= energy.size(); k++) {
          double sum = 0;
          for (double e : energy.subList(k, k + STEPS_IN_BLOCK)) {
            sum += e;
          }
          blocks.add(sum / (STEP * STEPS_IN_BLOCK));
        }
      }
      double gate = level(meanOver(blocks, ABSOLUTE_GATE)) + RELATIVE_GATE;
      return level(meanOver(blocks, Math.max(ABSOLUTE_GATE, gate)));
    }
  }

  /**
   * The same of one channel that is heard on both sides.
   *
   * @param mono at 48 kHz
   */
  public static double ofMono(float[] mono) {
    float[] stereo = new float[mono.length * 2];
    for (int i = 0; i < mono.length; i++) {
      stereo[2 * i] = mono[i];
      stereo[2 * i + 1] = mono[i];
    }
    return integrated(stereo);
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

  private static double level(double energy) {
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

    double next(double x) {
      double y =
          1.53512485958697 * x
              - 2.69169618940638 * x1
              + 1.19839281085285 * x2
              + 1.69065929318241 * y1
              - 0.73248077421585 * y2;
      double z = y - 2 * y1 + y2 + 1.99004745483398 * z1 - 0.99007225036621 * z2;
      x2 = x1;
      x1 = x;
      y2 = y1;
      y1 = y;
      z2 = z1;
      z1 = z;
      return z;
    }
  }
}
