package app.latethistle.core.measure;

import app.latethistle.core.time.FrameRange;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** Finds frozen spans and repeated frames. */
final class Stillness {
  /** Mean difference, in codes, up to which a picture stands still: 0.001 of the range (-60 dB). */
  static final double STILL = 0.255;

  /** Seconds that a freeze lasts at least. */
  static final double FREEZE_SECONDS = 0.5;

  /** What a quarter of the frames must differ by, in codes, for repeats to be told from them. */
  private static final double TELLING = 0.1;

  /** A repeat differs by at most so many codes, and by this part of what frames around it do. */
  private static final double MOST = 0.5;

  private static final double REPEATED = 0.4;
  private static final int AROUND = 3;

  private final List<FrameRange> frozen = new ArrayList<>();
  private Gray held;
  private int heldFrom;
  private int count;

  /** Takes the next frame: a freeze lasts as long as frames hardly differ from its first one. */
  void add(Gray picture, double rate) {
    if (held == null || held.difference(picture) > STILL) {
      close(rate);
      held = picture;
      heldFrom = count;
    }
    count++;
  }

  private void close(double rate) {
    if (held != null && count - heldFrom > FREEZE_SECONDS * rate) {
      frozen.add(new FrameRange(heldFrom, count));
    }
  }

  /** The frozen spans. */
  List<FrameRange> finish(double rate) {
    close(rate);
    return frozen;
  }

  /**
   * Which frames repeat the one before: those that differ from it hardly at all, and, where repeats
   * come in a rhythm of two to four frames, those that differ far less than some frame within three
   * on either side, since in hard encoding a repeat is only as alike as that leaves it. In a take
   * that hardly moves nothing can be told, and nothing is called a repeat.
   *
   * @param differences of each frame to the one before, in codes; the first is left out
   */
  static boolean[] repeats(double[] differences) {
    int n = differences.length;
    boolean[] repeats = new boolean[n];
    if (n < 4) {
      return repeats;
    }
    double[] sorted = Arrays.copyOfRange(differences, 1, n);
    Arrays.sort(sorted);
    double usual = sorted[sorted.length * 3 / 4];
    if (usual < TELLING) {
      return repeats;
    }
    boolean[] less = new boolean[n];
    for (int i = 1; i < n; i++) {
      double around =
          Math.min(
              most(differences, Math.max(1, i - AROUND), i),
              most(differences, i + 1, Math.min(n, i + AROUND + 1)));
      less[i] = differences[i] <= Math.min(MOST, REPEATED * around);
      repeats[i] = differences[i] <= Math.min(MOST, usual / 7);
    }
    for (int i = 1; i < n; i++) {
      boolean dips = i + 1 < n && differences[i] < Math.min(differences[i - 1], differences[i + 1]);
      repeats[i] |= (less[i] || dips) && inRhythm(less, i);
    }
    return repeats;
  }

  /** The largest of a range; of none, more than any. */
  private static double most(double[] values, int from, int to) {
    double most = from < to ? 0 : Double.POSITIVE_INFINITY;
    for (int i = from; i < to; i++) {
      most = Math.max(most, values[i]);
    }
    return most;
  }

  /** Whether most frames that are two, three or four away, and twice or thrice that, are less. */
  private static boolean inRhythm(boolean[] less, int frame) {
    for (int period = 2; period <= 4; period++) {
      int count = 0;
      int of = 0;
      for (int k = -3; k <= 3; k++) {
        int i = frame + k * period;
        if (k != 0 && i > 0 && i < less.length) {
          count += less[i] ? 1 : 0;
          of++;
        }
      }
      if (of >= 3 && count * 3 >= of * 2) {
        return true;
      }
    }
    return false;
  }
}
