package app.latethistle.core.film;

import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.util.Map;
import java.util.OptionalLong;

/**
 * A film together with what it is resolved against, and the frames that come of it: what edits are
 * worked out on.
 *
 * @param takes the production's takes by id
 */
public record Resolved(
    Film film, Clocks clocks, FrameRate rate, Map<String, Take> takes, Cutting cutting) {

  /** Resolves a film. */
  public static Resolved of(Film film, Clocks clocks, FrameRate rate, Map<String, Take> takes) {
    return new Resolved(film, clocks, rate, takes, Cutting.of(film, clocks, rate, takes));
  }

  /** The same with another film. */
  public Resolved with(Film other) {
    return of(other, clocks, rate, takes);
  }

  /** The frames of a shot of the cut. */
  FrameRange range(int place) {
    film.placementAt(place);
    return cutting.rangeOf(place);
  }

  /** The frame of a joint. */
  long frame(int joint) {
    return cutting.frames().get(joint);
  }

  /** Whether a joint is where its tie asks. */
  boolean honours(int joint) {
    return frameOf(film.joints().get(joint)).orElse(-1) == frame(joint);
  }

  /** The frame a tie asks for; empty if what it is tied to is not there. */
  public OptionalLong frameOf(Tie tie) {
    return Cutting.frameOf(tie, film.song(), cutting.voice(), clocks.grid(), rate);
  }

  /**
   * The frame a tie asks for.
   *
   * @throws IllegalArgumentException if what it is tied to is not there
   */
  long frameOrRefuse(Tie tie) {
    return frameOf(tie)
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    tie instanceof Tie.OnWord
                        ? "That word is not read; tie the cut to another."
                        : "The song has no such beat; tie the cut to another."));
  }

  /**
   * The beat that falls nearest to a frame; -1 where there is none: without beats, and more than
   * half a beat before the first or past the last.
   */
  int nearestBeat(long frame) {
    int beats = clocks.grid().size();
    int near = clocks.grid().nearest(rate.sampleOf(frame) + film.song().start());
    boolean within = near > 0 && near < beats - 1;
    if (within || beats < 2) {
      return near;
    }
    int inward = near == 0 ? 1 : near - 1;
    long half = Math.abs(frameOfBeat(inward) - frameOfBeat(near)) / 2;
    return Math.abs(frame - frameOfBeat(near)) <= half ? near : -1;
  }

  /** The frame a beat falls on. */
  long frameOfBeat(int beat) {
    return Cutting.frameOfBeat(beat, film.song(), clocks.grid(), rate);
  }

  /** A tie to the beat that falls exactly on a frame; free at the frame if none does. */
  public Tie tieAt(long frame) {
    int near = nearestBeat(frame);
    return near >= 0 && frameOfBeat(near) == frame ? Tie.onBeat(near) : Tie.free(frame);
  }

  /** What the shot is called in sentences: "Shot 3", counted in the film. */
  static String named(int place) {
    return "Shot " + (place + 1) + " of the film";
  }
}
