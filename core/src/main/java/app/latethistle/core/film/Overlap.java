package app.latethistle.core.film;

import app.latethistle.core.look.Span;
import app.latethistle.core.look.Transition;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * The frames in which a joint's two shots are both seen.
 *
 * @param frames of the film; empty at a plain cut
 * @param wanted how many they would be if nothing were in the way
 * @param endsShort how many frames the shot before lacks at its end to be seen so long
 * @param startsShort how many the shot after lacks at its start
 */
public record Overlap(FrameRange frames, long wanted, long endsShort, long startsShort) {
  /** A position this little outside a take is its first or last frame. */
  private static final double HAIR = 1e-9;

  /**
   * The overlaps of a film's joints. A transition begins no sooner than the shot before it, or than
   * that shot's own transition ends, and is over no later than the shot after it; two that would
   * meet in a shot part what is between them.
   *
   * @param frames the frame of each joint
   */
  static List<Overlap> of(
      Film film, List<Long> frames, Clocks clocks, FrameRate rate, Map<String, Take> takes) {
    List<FrameRange> wanted = new ArrayList<>();
    for (int j = 0; j < frames.size(); j++) {
      boolean inside = j > 0 && j + 1 < frames.size();
      Transition how = film.joints().get(j).transition();
      wanted.add(
          inside && !how.isCut()
              ? wanted(how, frames.get(j), film.music(), clocks.grid(), rate)
              : FrameRange.ofLength(frames.get(j), 0));
    }
    List<Overlap> overlaps = new ArrayList<>();
    for (int j = 0; j < frames.size(); j++) {
      FrameRange range = wanted.get(j);
      if (!range.isEmpty()) {
        long from = Math.max(range.start(), border(wanted, frames, j - 1));
        long to = Math.min(range.end(), border(wanted, frames, j));
        range = new FrameRange(Math.min(from, to), to);
      }
      overlaps.add(
          new Overlap(
              range,
              wanted.get(j).length(),
              range.isEmpty() ? 0 : lacking(film, frames, j - 1, range, takes),
              range.isEmpty() ? 0 : lacking(film, frames, j, range, takes)));
    }
    return List.copyOf(overlaps);
  }

  /** Whether it is shorter than was asked for, because another one is in the way. */
  boolean isCrowded() {
    return frames.length() < wanted;
  }

  private static FrameRange wanted(
      Transition how, long middle, SongUse song, BeatGrid grid, FrameRate rate) {
    if (how.span().unit() == Span.Unit.QUARTER_BEATS && grid.size() > 1) {
      double beats = how.span().amount() / 4.0;
      double at = beatAt(grid, rate.sampleOf(middle) + song.start());
      double before =
          switch (how.lies()) {
            case MIDDLE -> beats / 2;
            case START -> 0;
            case END -> beats;
          };
      long from = rate.nearestFrame(sampleAt(grid, at - before) - song.start());
      long to = rate.nearestFrame(sampleAt(grid, at - before + beats) - song.start());
      return new FrameRange(from, Math.max(from + 1, to));
    }
    long length = Math.max(1, frames(how.span(), rate));
    long from =
        switch (how.lies()) {
          case MIDDLE -> middle - length / 2;
          case START -> middle;
          case END -> middle - length;
        };
    return FrameRange.ofLength(from, length);
  }

  /** A length in frames; a beat without a song is half a second. */
  private static long frames(Span span, FrameRate rate) {
    return switch (span.unit()) {
      case FRAMES -> span.amount();
      case QUARTER_BEATS -> Math.round(span.amount() / 8.0 * rate.perSecond());
      case MILLISECONDS -> Math.round(span.amount() / 1000.0 * rate.perSecond());
    };
  }

  /** The beat at a sample, with its fraction; before the first and after the last beat as there. */
  private static double beatAt(BeatGrid grid, long sample) {
    int beat = grid.nearest(sample);
    int from = Math.min(beat, grid.size() - 2);
    if (grid.sampleOf(from) > sample && from > 0) {
      from--;
    }
    double gap = (double) grid.sampleOf(from + 1) - grid.sampleOf(from);
    return from + (sample - grid.sampleOf(from)) / gap;
  }

  private static long sampleAt(BeatGrid grid, double beat) {
    int from = (int) Math.max(0, Math.min(grid.size() - 2, Math.floor(beat)));
    double gap = (double) grid.sampleOf(from + 1) - grid.sampleOf(from);
    return grid.sampleOf(from) + Math.round((beat - from) * gap);
  }

  /**
   * The frame in a shot up to which its first joint's transition may go, and from there its last.
   */
  private static long border(List<FrameRange> wanted, List<Long> frames, int place) {
    FrameRange in = wanted.get(place);
    FrameRange out = wanted.get(place + 1);
    if (out.isEmpty()) {
      return in.isEmpty() ? frames.get(place) : frames.get(place + 1);
    }
    if (in.isEmpty()) {
      return frames.get(place);
    }
    long least = frames.get(place);
    long most = frames.get(place + 1);
    long meet = in.end() <= out.start() ? in.end() : (in.end() + out.start()) / 2;
    return Math.max(least, Math.min(most, meet));
  }

  /** How many of a shot's frames are outside its take while a transition shows more of it. */
  private static long lacking(
      Film film, List<Long> frames, int place, FrameRange range, Map<String, Take> takes) {
    Placement shot = film.placements().get(place);
    Take take = takes.get(shot.take());
    if (!shot.hasPicture() || take == null) {
      return 0;
    }
    FrameRange own = new FrameRange(frames.get(place), frames.get(place + 1));
    long lacking = 0;
    for (long f = range.start(); f < range.end(); f++) {
      double at = shot.run().position(shot.in(), take.frames(), f - own.start(), own.length());
      if (!own.contains(f) && (at < -HAIR || at > take.frames() - 1 + HAIR)) {
        lacking++;
      }
    }
    return lacking;
  }
}
