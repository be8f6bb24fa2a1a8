package app.latethistle.core.check;

import app.latethistle.core.picture.Frame;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.util.ArrayList;
import java.util.List;
import java.util.function.IntPredicate;

/** What was read of a row of pictures. Traces of parts can be joined. */
public final class PictureTrace {
  /** A picture is black if this share of it is (as ffmpeg's blackdetect has it by default). */
  private static final double MOSTLY = 0.98;

  /** Black of fewer seconds is a flash of it, and is not seen as black. */
  private static final double LEAST_BLACK = 0.08;

  /**
   * A picture stands still if nowhere in it the mean change of luma reaches half a code: encoders
   * leave less than that where nothing moves (measured on x264 at crf 16 to 24).
   */
  private static final double STILL = 0.5;

  /** A share of pixels out of range that is let pass (EBU R 103-2020: 1 %). */
  private static final double TOLERATED = 0.01;

  private final FrameRate rate;
  private final List<PictureReading> pictures;

  private PictureTrace(FrameRate rate, List<PictureReading> pictures) {
    this.rate = rate;
    this.pictures = List.copyOf(pictures);
  }

  /** Reads pictures in order; small ones suffice, about 320 across. */
  public static final class Reader {
    private final FrameRate rate;
    private final List<PictureReading> pictures = new ArrayList<>();
    private byte[] before;

    public Reader(FrameRate rate) {
      this.rate = rate;
    }

    /** Takes the next picture, of the same size as the others. */
    public void add(Frame frame) {
      pictures.add(new PictureReading(frame, before));
      int luma = frame.width() * frame.height();
      if (before == null) {
        before = new byte[luma];
      }
      System.arraycopy(frame.data(), 0, before, 0, luma);
    }

    /** What was read so far. */
    public PictureTrace trace() {
      return new PictureTrace(rate, pictures);
    }
  }

  /**
   * Traces that follow each other.
   *
   * @param parts one or more, of one rate
   */
  public static PictureTrace joined(List<PictureTrace> parts) {
    List<PictureReading> all = new ArrayList<>();
    parts.forEach(part -> all.addAll(part.pictures));
    return new PictureTrace(parts.get(0).rate, all);
  }

  public FrameRate rate() {
    return rate;
  }

  /** How many pictures were read. */
  public int length() {
    return pictures.size();
  }

  PictureReading picture(int frame) {
    return pictures.get(frame);
  }

  /** Where the picture is black for two frames or more. */
  public List<FrameRange> black() {
    return stretches(
        f -> pictures.get(f).black >= MOSTLY, Math.max(2, (int) rate.framesIn(LEAST_BLACK)));
  }

  /**
   * Where it stands still.
   *
   * @param least frames that are to show the same
   */
  public List<FrameRange> frozen(int least) {
    // The first frame that stands still repeats the one before, which belongs to the stretch.
    return stretches(this::standsStill, Math.max(1, least - 1)).stream()
        .map(still -> new FrameRange(still.start() - 1, still.end()))
        .filter(still -> !isBlack(still))
        .toList();
  }

  private boolean isBlack(FrameRange range) {
    return pictures.get((int) range.start()).black >= MOSTLY;
  }

  private boolean standsStill(int frame) {
    if (frame == 0) {
      return false;
    }
    PictureReading now = pictures.get(frame);
    double moved = Double.isInfinite(now.moved) ? now.apart(pictures.get(frame - 1)) : now.moved;
    return moved < STILL;
  }

  /**
   * Frames that repeat the one before between frames that do not: a change of rate shows so.
   *
   * @return their numbers
   */
  public List<Integer> repeated() {
    List<Integer> repeated = new ArrayList<>();
    for (int f = 2; f + 1 < length(); f++) {
      if (standsStill(f) && moves(f - 1) && moves(f + 1)) {
        repeated.add(f);
      }
    }
    return repeated;
  }

  /** Whether much of the picture moves, so that a repeat would be seen. */
  private boolean moves(int frame) {
    PictureReading now = pictures.get(frame);
    return !Double.isInfinite(now.moved) && now.moved >= 4 * STILL && now.movedInAll >= STILL / 2;
  }

  /** Where more than a hundredth of the picture has colours that may not be sent (EBU R 103). */
  public List<FrameRange> outside() {
    return stretches(f -> pictures.get(f).outside > TOLERATED, 1);
  }

  /** Stretches of frames that have something, from so many on. */
  private List<FrameRange> stretches(IntPredicate has, int least) {
    List<FrameRange> found = new ArrayList<>();
    int from = -1;
    for (int f = 0; f <= length(); f++) {
      boolean is = f < length() && has.test(f);
      if (is && from < 0) {
        from = f;
      } else if (!is && from >= 0) {
        if (f - from >= least) {
          found.add(new FrameRange(from, f));
        }
        from = -1;
      }
    }
    return found;
  }
}
