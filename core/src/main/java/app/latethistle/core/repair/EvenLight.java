package app.latethistle.core.repair;

import app.latethistle.core.picture.Frame;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Light that flickers made even: each picture's distribution of luma becomes the mean of those
 * around it in time, as quantiles (J. Delon, "Movie and video scale-time equalization. Application
 * to flicker reduction", IEEE Trans. Image Processing 15(1), 2006). So it does not matter by what
 * curve the light changed. Chroma goes along with luma, so that colours stay.
 */
final class EvenLight implements Mending {
  private static final int CODES = 256;

  /** Quantiles a distribution is known by. */
  private static final int QUANTILES = 1024;

  /**
   * How far around in time counts, as the standard deviation of a Gaussian in seconds: what comes
   * three times a second goes, what takes a second mostly stays. A choice; Delon has no seconds.
   */
  private static final double SECONDS = 0.25;

  /** So many deviations to each side. */
  private static final double REACH = 3;

  /** The change of neighbouring codes is smoothed over so many, so that no steps come out. */
  private static final int SMOOTH = 4;

  /** Chroma is changed by a factor within this and its inverse: in the dark it tells nothing. */
  private static final double MOST_GAIN = 2;

  private final List<Integer> jumps;
  private final double rate;

  EvenLight(List<Integer> jumps, double rate) {
    this.jumps = List.copyOf(jumps);
    this.rate = rate;
  }

  @Override
  public void mend(Clip clip, Clip.Taker taker, Clip.Progress progress) throws IOException {
    List<int[]> counts = new ArrayList<>();
    clip.each(
        (number, frame) -> {
          counts.add(count(frame));
          progress.at(0);
        });
    List<float[]> quantiles = counts.stream().map(EvenLight::quantiles).toList();
    Frame made = new Frame(clip.width(), clip.height());
    clip.each(
        (number, frame) -> {
          change(frame, table(number, counts.get(number), quantiles), made);
          taker.take(number, made);
          progress.at((number + 1.0) / counts.size());
        });
  }

  private static int[] count(Frame frame) {
    int[] counts = new int[CODES];
    for (int i = 0; i < frame.width() * frame.height(); i++) {
      counts[frame.data()[i] & 0xff]++;
    }
    return counts;
  }

  /** The luma below which shares of a picture lie; pixels of a code are spread over it evenly. */
  private static float[] quantiles(int[] counts) {
    double all = Arrays.stream(counts).sum();
    float[] quantiles = new float[QUANTILES];
    int code = 0;
    double below = 0;
    for (int q = 0; q < QUANTILES; q++) {
      double share = (q + 0.5) / QUANTILES * all;
      while (below + counts[code] < share) {
        below += counts[code++];
      }
      quantiles[q] = (float) (code - 0.5 + (share - below) / counts[code]);
    }
    return quantiles;
  }

  /** What each code of a picture becomes. */
  private double[] table(int number, int[] counts, List<float[]> quantiles) {
    double[] mean = mean(number, quantiles);
    double all = Arrays.stream(counts).sum();
    double[] moved = new double[CODES];
    double below = 0;
    for (int code = 0; code < CODES; code++) {
      double middle = (below + counts[code] / 2.0) / all * QUANTILES - 0.5;
      int left = (int) Math.max(0, Math.min(QUANTILES - 2, Math.floor(middle)));
      double share = Math.max(0, Math.min(1, middle - left));
      moved[code] = mean[left] + (mean[left + 1] - mean[left]) * share - code;
      below += counts[code];
    }
    double[] table = new double[CODES];
    for (int code = 0; code < CODES; code++) {
      double sum = 0;
      double weights = 0;
      for (int near = Math.max(0, code - 3 * SMOOTH);
          near <= Math.min(CODES - 1, code + 3 * SMOOTH);
          near++) {
        double away = (near - code) / (double) SMOOTH;
        double weight = (counts[near] + 1e-6) * Math.exp(-away * away / 2);
        sum += weight * moved[near];
        weights += weight;
      }
      table[code] = code + sum / weights;
    }
    return table;
  }

  /** The mean quantiles of the pictures around one, no jump between. */
  private double[] mean(int number, List<float[]> quantiles) {
    double deviation = SECONDS * rate;
    double[] mean = new double[QUANTILES];
    double weights = 0;
    for (int near = first(number, deviation); near <= last(number, quantiles, deviation); near++) {
      double away = (near - number) / deviation;
      double weight = Math.exp(-away * away / 2);
      float[] one = quantiles.get(near);
      for (int q = 0; q < QUANTILES; q++) {
        mean[q] += weight * one[q];
      }
      weights += weight;
    }
    for (int q = 0; q < QUANTILES; q++) {
      mean[q] /= weights;
    }
    return mean;
  }

  private int first(int number, double deviation) {
    int from = (int) Math.max(0, number - Math.ceil(REACH * deviation));
    return jumps.stream().filter(j -> j <= number).reduce(from, Math::max);
  }

  private int last(int number, List<float[]> quantiles, double deviation) {
    int to = (int) Math.min(quantiles.size() - 1L, number + (long) Math.ceil(REACH * deviation));
    return jumps.stream().filter(j -> j > number).map(j -> j - 1).reduce(to, Math::min);
  }

  private static void change(Frame from, double[] table, Frame into) {
    byte[] codes = new byte[CODES];
    double[] gains = new double[CODES];
    for (int code = 0; code < CODES; code++) {
      codes[code] = (byte) Math.round(Math.max(Frame.BLACK, Math.min(Frame.WHITE, table[code])));
      double gain = code > Frame.BLACK ? (table[code] - Frame.BLACK) / (code - Frame.BLACK) : 1;
      gains[code] = Math.max(1 / MOST_GAIN, Math.min(MOST_GAIN, gain));
    }
    int width = from.width();
    byte[] data = from.data();
    byte[] made = into.data();
    for (int i = 0; i < width * from.height(); i++) {
      made[i] = codes[data[i] & 0xff];
    }
    for (int plane = 1; plane < 3; plane++) {
      int at = from.offset(plane);
      for (int y = 0; y < from.height(); y += 2) {
        for (int x = 0; x < width; x += 2, at++) {
          int i = y * width + x;
          double gain =
              (gains[data[i] & 0xff]
                      + gains[data[i + 1] & 0xff]
                      + gains[data[i + width] & 0xff]
                      + gains[data[i + width + 1] & 0xff])
                  / 4;
          double chroma = 128 + gain * ((data[at] & 0xff) - 128);
          made[at] = (byte) Math.round(Math.max(16, Math.min(240, chroma)));
        }
      }
    }
  }
}
