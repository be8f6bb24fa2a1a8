package app.latethistle.core.measure;

import app.latethistle.core.take.Box;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.util.List;

/**
 * What was measured of a take. Frames are the file's own.
 *
 * @param frames how many it has
 * @param rate of the file, pictures a second
 * @param realRate pictures a second that differ from the one before, outside frozen spans
 * @param repeated frames that repeat the one before, outside frozen spans
 * @param frozen spans that stand still for half a second or more
 * @param black spans that are black
 * @param flicker spans in which the brightness jumps to and fro
 * @param jumps frames that do not follow from the one before
 * @param warps spans in which the picture bends or boils
 * @param sharpness 0 to 1, the median of the samples
 * @param softest the frame of the lowest sample of sharpness
 * @param motion for each frame how far the picture moved since the one before, in thousandths of
 *     the width
 * @param travel of the camera over the whole take, jumps left out
 * @param marks boxes of marks that stand in a corner
 * @param usable the longest part without jumps, freezes, black, flicker and warps
 */
public record TakeFacts(
    int frames,
    double rate,
    double realRate,
    int repeated,
    List<FrameRange> frozen,
    List<FrameRange> black,
    List<FrameRange> flicker,
    List<Integer> jumps,
    List<FrameRange> warps,
    double sharpness,
    int softest,
    List<Float> motion,
    Travel travel,
    List<Box> marks,
    FrameRange usable) {
  public TakeFacts {
    frozen = List.copyOf(frozen);
    black = List.copyOf(black);
    flicker = List.copyOf(flicker);
    jumps = List.copyOf(jumps);
    warps = List.copyOf(warps);
    motion = List.copyOf(motion);
    marks = List.copyOf(marks);
  }

  /** A usable part shorter than this share of a take says more about the measure than the take. */
  private static final double LEAST_USABLE = 0.4;

  /**
   * The part that may be seen, in frames of a film: {@link #usable}, or the whole take if that is
   * less than two fifths of it.
   *
   * @param film the film's rate
   * @param count the take's frames at that rate
   */
  public FrameRange usableAt(FrameRate film, long count) {
    double scale = film.perSecond() / rate;
    long start = (long) Math.ceil(usable.start() * scale);
    long end = Math.min(count, (long) Math.floor(usable.end() * scale));
    return end - start < LEAST_USABLE * count
        ? new FrameRange(0, count)
        : new FrameRange(start, end);
  }

  /** Facts with other marks. */
  public TakeFacts withMarks(List<Box> newMarks) {
    return new TakeFacts(
        frames, rate, realRate, repeated, frozen, black, flicker, jumps, warps, sharpness, softest,
        motion, travel, newMarks, usable);
  }
}
