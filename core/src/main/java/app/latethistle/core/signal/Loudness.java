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
    int frames = stereo.length / 2;
    double[] energy = new double[Math.max(1, (frames + STEP - 1) / STEP)];
    for (int channel = 0; channel < 2; channel++) {
      Weighting weighting = new Weighting();
      for (int i = 0; i < frames; i++) {
        double w = weighting.next(stereo[2 * i + channel]);
        energy[i / STEP] += w * w;
      }
    }
    List<Double> blocks = new ArrayList<>();
    if (frames < STEP * STEPS_IN_BLOCK) {
      double sum = 0;
      for (double e : energy) {
        sum += e;
      }
      blocks.add(sum / Math.max(1, frames));
    } else {
      for (int k = 0; (k + STEPS_IN_BLOCK) * STEP <= frames; k++) {
        double sum = energy[k] + energy[k + 1] + energy[k + 2] + energy[k + 3];
        blocks.add(sum / (STEP * STEPS_IN_BLOCK));
      }
    }
    double gate = level(meanOver(blocks, ABSOLUTE_GATE)) + RELATIVE_GATE;
    return level(meanOver(blocks, Math.max(ABSOLUTE_GATE, gate)));
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
