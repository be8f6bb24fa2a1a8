package app.latethistle.core.film;

import app.latethistle.core.Refused;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.util.Comparator;
import java.util.Map;
import java.util.Optional;
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

  /** The take of a file, the first by its id where there are several; "" is no file. */
  public Optional<Take> takeOfFile(String media) {
    return media.isEmpty()
        ? Optional.empty()
        : takes.values().stream()
            .filter(take -> take.media().equals(media))
            .min(Comparator.comparing(Take::id));
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
    return frameOf(tie(joint)).orElse(-1) == frame(joint);
  }

  /** The tie of a joint. */
  Tie tie(int joint) {
    return film.joints().get(joint).tie();
  }

  /**
   * The frames a placement is seen, in the cut or over it; empty ones at the film's end if it has
   * no place.
   */
  public FrameRange rangeOf(String id) {
    int place = film.indexOfId(id);
    return place >= 0
        ? cutting.rangeOf(place)
        : cutting
            .beside()
            .overlays()
            .getOrDefault(id, new FrameRange(cutting.length(), cutting.length() + 1));
  }

  /** The take's frames that a placement shows; some may be missing in it. */
  public FrameRange shown(String id) {
    Placement shot = ItemKind.PLACEMENT.get(film, id);
    return shot.run().shown(shot.in(), material(shot), rangeOf(id).length());
  }

  private long material(Placement shot) {
    Take take = takes.get(shot.take());
    return take == null ? Long.MAX_VALUE / 4 : take.frames();
  }

  /** How many frames a shot can be shown before its first one, at most so many. */
  long spareBefore(int place, long most) {
    Placement shot = film.placementAt(place);
    long n = range(place).length();
    Run run = shot.run().fixed(n);
    long spare = 0;
    while (spare < most) {
      double at = run.position(shot.in(), material(shot), -spare - 1, n);
      if (at < 0 || (shot.run().plain() && shot.in() < spare + 1)) {
        break;
      }
      spare++;
    }
    return spare;
  }

  /** The frame a tie asks for; empty if what it is tied to is not there. */
  public OptionalLong frameOf(Tie tie) {
    return Cutting.frameOf(tie, film.music(), cutting.voice(), clocks.grid(), rate);
  }

  /** The film's sample that a tie means; empty if what it is tied to has no place. */
  public OptionalLong sampleOf(Tie tie) {
    return new Landings(film, cutting.frames(), cutting.voice(), clocks.grid(), rate).sample(tie);
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
                new Refused(
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
    int near = clocks.grid().nearest(rate.sampleOf(frame) + film.music().start());
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
    return Cutting.frameOfBeat(beat, film.music(), clocks.grid(), rate);
  }

  /** A tie to the beat that falls exactly on a frame; free at the frame if none does. */
  public Tie tieAt(long frame) {
    int near = nearestBeat(frame);
    return near >= 0 && frameOfBeat(near) == frame ? Tie.onBeat(near) : Tie.free(frame);
  }
}
