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
   * Which frames repeat the one before. What counts as a repeat depends on how much the others
   * differ: a seventh of what three quarters of them stay under, and at most 0.5 codes. In a take
   * that hardly moves nothing can be told, and nothing is called a repeat.
   *
   * @param differences of each frame to the one before, in codes; the first is left out
   */
  static boolean[] repeats(double[] differences) {
    boolean[] repeats = new boolean[differences.length];
    if (differences.length < 4) {
      return repeats;
    }
    double[] sorted = Arrays.copyOfRange(differences, 1, differences.length);
    Arrays.sort(sorted);
    double usual = sorted[sorted.length * 3 / 4];
    if (usual < 0.06) {
      usual = sorted[sorted.length * 9 / 10];
    }
    double least = Math.min(0.5, usual / 7);
    for (int i = 1; i < differences.length && usual >= 0.06; i++) {
      repeats[i] = differences[i] <= least;
    }
    return repeats;
  }
}
