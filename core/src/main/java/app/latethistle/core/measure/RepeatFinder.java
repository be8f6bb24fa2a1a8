package app.latethistle.core.measure;

import app.latethistle.core.time.FrameRange;
import java.util.ArrayList;
import java.util.List;

/** Finds which pictures of a take repeat the one before, and where it stands still. */
public final class RepeatFinder {
  private final double rate;
  private final Stillness stillness = new Stillness();
  private final List<Double> differences = new ArrayList<>();
  private Gray last;
  private List<FrameRange> frozen;
  private boolean[] all;

  /**
   * Begins.
   *
   * @param rate pictures a second
   */
  public RepeatFinder(double rate) {
    this.rate = rate;
  }

  /**
   * Takes the next picture.
   *
   * @param plane its luma, width x height bytes; a few hundred pixels wide is enough
   */
  public void add(int width, int height, byte[] plane) {
    add(Gray.of(width, height, plane));
  }

  void add(Gray picture) {
    differences.add(last == null ? 0 : last.differenceInShape(picture));
    stillness.add(picture, rate);
    last = picture;
  }

  /** Spans that stand still for half a second or more; no picture may come after this is asked. */
  List<FrameRange> frozen() {
    if (frozen == null) {
      frozen = stillness.finish(rate);
    }
    return frozen;
  }

  /**
   * For each picture whether it repeats the one before, frozen or not; no picture may come after
   * this is asked.
   */
  boolean[] all() {
    if (all == null) {
      all = Stillness.repeats(differences.stream().mapToDouble(d -> d).toArray());
    }
    return all;
  }

  /**
   * The numbers of the pictures that repeat the one before and do not stand still for long; no
   * picture may come after this is asked.
   */
  public List<Integer> repeats() {
    List<Integer> repeats = new ArrayList<>();
    for (int i = 1; i < differences.size(); i++) {
      if (all()[i] && !PictureMeter.inside(frozen(), i)) {
        repeats.add(i);
      }
    }
    return repeats;
  }
}
