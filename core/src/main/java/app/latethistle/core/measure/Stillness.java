package app.latethistle.core.measure;

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

  private final List<Span> frozen = new ArrayList<>();
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
      frozen.add(new Span(heldFrom, count));
    }
  }

  /** The frozen spans. */
  List<Span> finish(double rate) {
    close(rate);
    return frozen;
  }

  /**
   * Which frames repeat the one before: those that differ from it far less than some frame within
   * three on either side does from its own, since a repeat is only as different as encoding makes
   * it. Where every other frame repeats, one that encoding changed more is counted with them. In a
   * take that hardly moves nothing can be told, and nothing is called a repeat.
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
    if (sorted[sorted.length * 3 / 4] < TELLING) {
      return repeats;
    }
    for (int i = 1; i < n; i++) {
      double around =
          Math.min(
              most(differences, Math.max(1, i - AROUND), i),
              most(differences, i + 1, Math.min(n, i + AROUND + 1)));
      repeats[i] = differences[i] <= Math.min(MOST, REPEATED * around);
    }
    boolean[] plain = repeats.clone();
    for (int i = 2; i + 1 < n; i++) {
      repeats[i] |=
          everyOther(plain, i) && differences[i] < Math.min(differences[i - 1], differences[i + 1]);
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

  /** Whether half of the eight nearest frames that are an even number away repeat. */
  private static boolean everyOther(boolean[] repeats, int frame) {
    if (repeats[frame - 1] || repeats[frame + 1]) {
      return false;
    }
    int count = 0;
    for (int i = frame - 8; i <= frame + 8; i += 2) {
      count += i >= 0 && i < repeats.length && repeats[i] ? 1 : 0;
    }
    return count >= 4;
  }
}
