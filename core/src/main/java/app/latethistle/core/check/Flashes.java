package app.latethistle.core.check;

import app.latethistle.core.time.FrameRange;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;

/**
 * Flashes that may cause seizures, by WCAG 2.2, success criterion 2.3.1: more than three general or
 * red flashes within a second. A general flash is a pair of opposing changes in relative luminance
 * by a tenth of the most there is, the darker picture below 0.8; a red flash one to and from a
 * saturated red, by more than 20 of (R - G - B) x 320. They count where at once they take up more
 * than a quarter of any 341 by 256 pixels of a picture of 1024 by 768: any third of its width and
 * height.
 */
public final class Flashes {
  private static final int WINDOW_ACROSS = Math.round(PictureReading.ACROSS / 3f);
  private static final int WINDOW_DOWN = PictureReading.DOWN / 3;
  private static final double AREA = 0.25 * WINDOW_ACROSS * WINDOW_DOWN;

  private static final float LUMINANCE_STEP = 0.1f;
  private static final float DARK = 0.8f;
  private static final float RED_STEP = 20;

  /** Changes of more than three flashes, each of two. */
  private static final int MOST_CHANGES = 7;

  /** Frames over which a change may spread from cell to cell and is still one (no source). */
  private static final int AT_ONCE = 3;

  private Flashes() {}

  /** The ranges in which there are more than three flashes a second, in order. */
  public static List<FrameRange> in(PictureTrace trace) {
    List<FrameRange> found = new ArrayList<>();
    found.addAll(new Search(trace, false).ranges());
    found.addAll(new Search(trace, true).ranges());
    found.sort((a, b) -> Long.compare(a.start(), b.start()));
    List<FrameRange> joined = new ArrayList<>();
    for (FrameRange range : found) {
      FrameRange last = joined.isEmpty() ? null : joined.get(joined.size() - 1);
      if (last != null && range.start() <= last.end()) {
        joined.set(
            joined.size() - 1, new FrameRange(last.start(), Math.max(last.end(), range.end())));
      } else {
        joined.add(range);
      }
    }
    return joined;
  }

  /** A cell's way up and down. */
  private static final class Cell {
    float extreme;
    int direction;
    boolean saturated;
    int up = Integer.MIN_VALUE / 2;
    int down = Integer.MIN_VALUE / 2;
  }

  private static final class Search {
    private final PictureTrace trace;
    private final boolean red;
    private final Cell[] cells = new Cell[PictureReading.CELLS];

    Search(PictureTrace trace, boolean red) {
      this.trace = trace;
      this.red = red;
    }

    List<FrameRange> ranges() {
      int across = PictureReading.ACROSS - WINDOW_ACROSS + 1;
      int down = PictureReading.DOWN - WINDOW_DOWN + 1;
      int second = (int) Math.ceil(trace.rate().perSecond());
      int[] last = new int[across * down];
      List<Deque<Integer>> changes = new ArrayList<>();
      for (int i = 0; i < across * down; i++) {
        changes.add(new ArrayDeque<>());
      }
      List<FrameRange> found = new ArrayList<>();
      for (int f = 0; f < trace.length(); f++) {
        follow(f);
        for (int i = 0; i < across * down; i++) {
          int way = changeIn(i % across, i / across, f);
          if (way == 0 || way == last[i]) {
            continue;
          }
          last[i] = way;
          Deque<Integer> all = changes.get(i);
          all.add(f);
          while (all.peek() <= f - second) {
            all.remove();
          }
          if (all.size() > MOST_CHANGES) {
            found.add(new FrameRange(all.peek(), f + 1));
          }
        }
      }
      return found;
    }

    private void follow(int frame) {
      PictureReading picture = trace.picture(frame);
      for (int c = 0; c < cells.length; c++) {
        float value = red ? picture.red[c] : picture.luminance[c];
        if (cells[c] == null) {
          cells[c] = new Cell();
          cells[c].extreme = value;
          cells[c].saturated = picture.saturated[c];
        }
        follow(cells[c], value, picture.saturated[c], frame);
      }
    }

    /** Notes a change of a cell; its extreme goes on with it. */
    private void follow(Cell cell, float value, boolean saturated, int frame) {
      float step = value - cell.extreme;
      boolean enough =
          red
              ? Math.abs(step) > RED_STEP && (saturated || cell.saturated)
              : Math.abs(step) >= LUMINANCE_STEP && Math.min(value, cell.extreme) < DARK;
      int way = step > 0 ? 1 : -1;
      if (enough && way != cell.direction) {
        cell.direction = way;
        if (way > 0) {
          cell.up = frame;
        } else {
          cell.down = frame;
        }
      }
      boolean onward = cell.direction == 0 ? enough : way == cell.direction && step != 0;
      if (onward || enough) {
        cell.extreme = value;
        cell.saturated = saturated;
      }
    }

    /** 1 or -1 where enough cells of a window rose or fell at once, else 0. */
    private int changeIn(int left, int top, int frame) {
      int rose = 0;
      int fell = 0;
      for (int y = top; y < top + WINDOW_DOWN; y++) {
        for (int x = left; x < left + WINDOW_ACROSS; x++) {
          Cell cell = cells[y * PictureReading.ACROSS + x];
          rose += cell.direction > 0 && cell.up > frame - AT_ONCE ? 1 : 0;
          fell += cell.direction < 0 && cell.down > frame - AT_ONCE ? 1 : 0;
        }
      }
      if (rose > AREA && rose >= fell) {
        return 1;
      }
      return fell > AREA ? -1 : 0;
    }
  }
}
