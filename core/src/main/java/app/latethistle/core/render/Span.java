package app.latethistle.core.render;

import app.latethistle.core.film.Run;
import app.latethistle.core.take.Framing;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;

/**
 * A take on screen.
 *
 * @param range frames of the film
 * @param media SHA-256 of the take's file
 * @param in the take's first used frame
 * @param frames the take's length; past it the last frame is held
 * @param framing how it meets the picture
 * @param run how the take runs
 * @param lie where it lies
 */
public record Span(
    FrameRange range, String media, long in, long frames, Framing framing, Run run, Lie lie) {

  /** What is not there is as it was before it could be said: stored orders may be older. */
  public Span {
    run = run == null ? Run.PLAIN : run;
    lie = lie == null ? Lie.CUT : lie;
  }

  /** A shot of the cut that runs as it was made. */
  public Span(FrameRange range, String media, long in, long frames, Framing framing) {
    this(range, media, in, frames, framing, Run.PLAIN, Lie.CUT);
  }

  /**
   * Where a take lies.
   *
   * @param layer 0 for the cut, higher ones over it
   * @param opacity in percent
   * @param size width in percent of the film's
   * @param x 0 at the left, 100 at the right
   * @param y 0 at the top, 100 at the bottom
   */
  public record Lie(int layer, int opacity, int size, int x, int y) {
    /** In the cut: the whole picture. */
    public static final Lie CUT = new Lie(0, 100, 100, 50, 50);
  }

  /** The take's frame, with a fraction between two, that a frame of the film shows. */
  double frame(long film) {
    return run.frame(in, frames, film - range.start(), range.length());
  }

  /**
   * The same on the frames of another rate, each at the frame nearest to its time. The take counts
   * one frame less than it would, so that it does not run dry by rounding.
   */
  Span at(FrameRate rate, FrameRate other) {
    long total = Math.max(1, at(rate, other, frames) - 1);
    return new Span(
        new FrameRange(at(rate, other, range.start()), at(rate, other, range.end())),
        media,
        Math.min(at(rate, other, in), total - 1),
        total,
        framing,
        run,
        lie);
  }

  static long at(FrameRate rate, FrameRate other, long frame) {
    return other.nearestFrame(rate.sampleOf(frame));
  }

  /** All that can change a pixel of the frames it shows from one to before another. */
  String key(long from, long to) {
    String shown =
        run.plain()
            ? Long.toString(in + from - range.start())
            : in + " " + (from - range.start()) + " of " + range.length() + " " + run;
    String lying = lie.equals(Lie.CUT) ? "" : " " + lie;
    return from + " " + to + " " + media + " " + shown + " " + frames + " " + framing + lying;
  }
}
