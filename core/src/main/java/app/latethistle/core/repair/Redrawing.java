package app.latethistle.core.repair;

import app.latethistle.core.measure.RepeatFinder;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.picture.MotionBetween;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;

/**
 * Pictures drawn anew along the motion between those before and after them; the others stay as they
 * are. Where nothing comes after or before, they stay too.
 */
final class Redrawing implements Mending {
  /**
   * Pictures to each side of a jump that are drawn anew, in seconds; common practice, no source.
   */
  private static final double BRIDGE_SECONDS = 0.125;

  /** More of them in a row are kept: what lies between is not known any more. */
  private static final int MOST_IN_A_ROW = 8;

  /** Pictures are looked at as wide as this to find repeats. */
  private static final int SMALL = 320;

  private final Chosen chosen;

  /** Chooses the numbers of the pictures that are drawn anew. */
  @FunctionalInterface
  private interface Chosen {
    Set<Integer> of(Clip clip, Clip.Progress progress) throws IOException;
  }

  private Redrawing(Chosen chosen) {
    this.chosen = chosen;
  }

  static Redrawing ofRepeats(double rate) {
    return new Redrawing(
        (clip, progress) -> {
          RepeatFinder finder = new RepeatFinder(rate);
          int high = SmallLuma.heightFor(clip, SMALL);
          clip.each(
              (number, frame) -> {
                finder.add(SMALL, high, SmallLuma.of(frame, SMALL, high));
                progress.at(0);
              });
          return new TreeSet<>(finder.repeats());
        });
  }

  static Redrawing ofJumps(List<Integer> jumps, double rate) {
    int beside = (int) Math.max(1, Math.min(MOST_IN_A_ROW / 2, Math.round(BRIDGE_SECONDS * rate)));
    Set<Integer> drawn = new TreeSet<>();
    for (int jump : jumps) {
      for (int i = jump - beside; i < jump + beside; i++) {
        drawn.add(i);
      }
    }
    return new Redrawing((clip, progress) -> drawn);
  }

  @Override
  public void mend(Clip clip, Clip.Taker taker, Clip.Progress progress) throws IOException {
    new Run(clip, chosen.of(clip, progress), taker, progress).go();
  }

  private static final class Run {
    private final Clip clip;
    private final Set<Integer> drawn;
    private final Clip.Taker taker;
    private final Clip.Progress progress;
    private final MotionBetween between;
    private final Frame before;
    private final Frame made;
    private final List<Frame> waiting = new ArrayList<>();
    private int given;
    private boolean began;

    Run(Clip clip, Set<Integer> drawn, Clip.Taker taker, Clip.Progress progress) {
      this.clip = clip;
      this.drawn = drawn;
      this.taker = taker;
      this.progress = progress;
      between = new MotionBetween(clip.width(), clip.height());
      before = new Frame(clip.width(), clip.height());
      made = new Frame(clip.width(), clip.height());
    }

    void go() throws IOException {
      int last = drawn.stream().reduce(1, Math::max);
      clip.each(
          (number, frame) -> {
            if (began && drawn.contains(number)) {
              wait(frame);
            } else {
              draw(frame);
              give(frame);
              before.copy(frame);
              began = true;
            }
            progress.at(Math.min(1, (double) number / last));
          });
      keep();
    }

    private void wait(Frame frame) throws IOException {
      Frame kept = new Frame(frame.width(), frame.height());
      kept.copy(frame);
      waiting.add(kept);
      if (waiting.size() > MOST_IN_A_ROW) {
        before.copy(frame);
        keep();
      }
    }

    /** Draws those that wait between the last that stays and the next that does. */
    private void draw(Frame after) throws IOException {
      int count = waiting.size();
      for (int i = 1; i <= count; i++) {
        between.draw(given - i + 1, before, after, i / (count + 1.0), made);
        give(made);
      }
      waiting.clear();
    }

    private void keep() throws IOException {
      for (Frame frame : waiting) {
        give(frame);
      }
      waiting.clear();
    }

    private void give(Frame frame) throws IOException {
      taker.take(given++, frame);
    }
  }
}
