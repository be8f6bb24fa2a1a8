package app.latethistle.core.film;

import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * A film resolved against its clock: the frame of each joint, and what could not be honoured.
 *
 * @param frames the frame of each joint, strictly rising from 0; empty for an empty film
 * @param problems what a person should look at, in the order of the film
 */
public record Cutting(List<Long> frames, List<Problem> problems) {

  /** What is wrong. */
  public enum Kind {
    /** The joint's moment lies outside the film or at or before the joint before it. */
    TIE_NOT_HONOURED,
    /** The joint is tied to a beat that the song does not have. */
    BEAT_MISSING,
    /** The shot is on screen longer than its take has frames from its in point. */
    OUT_OF_MATERIAL,
    /** The placement's take is no longer in the production. */
    TAKE_MISSING
  }

  /**
   * Something to look at.
   *
   * @param kind what is wrong
   * @param place the shot concerned, from 0
   * @param frames how many frames are missing or were moved; 0 if that says nothing
   */
  public record Problem(Kind kind, int place, long frames) {}

  /**
   * Resolves a film. Each tied joint lands on its beat's nearest frame, from absolute time, so no
   * error builds up. A joint that would not come at least one frame after the one before it is put
   * there and reported.
   *
   * @param grid the song's beats; an empty grid leaves only free joints resolvable
   * @param takes the production's takes by id
   */
  public static Cutting of(Film film, BeatGrid grid, FrameRate rate, Map<String, Take> takes) {
    List<Long> frames = new ArrayList<>();
    List<Problem> problems = new ArrayList<>();
    for (int j = 0; j < film.joints().size(); j++) {
      if (j == 0) {
        frames.add(0L);
        continue;
      }
      long least = frames.get(j - 1) + 1;
      Tie tie = film.joints().get(j);
      if (tie instanceof Tie.OnBeat on && (on.beat() < 0 || on.beat() >= grid.size())) {
        problems.add(new Problem(Kind.BEAT_MISSING, j - 1, 0));
        frames.add(least);
        continue;
      }
      long wanted = frameOf(tie, film, grid, rate);
      if (wanted < least) {
        problems.add(new Problem(Kind.TIE_NOT_HONOURED, j - 1, least - wanted));
      }
      frames.add(Math.max(wanted, least));
    }
    for (int i = 0; i < film.placements().size(); i++) {
      Placement placement = film.placements().get(i);
      Take take = takes.get(placement.take());
      if (take == null) {
        problems.add(new Problem(Kind.TAKE_MISSING, i, 0));
        continue;
      }
      long missing = placement.in() + frames.get(i + 1) - frames.get(i) - take.frames();
      if (missing > 0) {
        problems.add(new Problem(Kind.OUT_OF_MATERIAL, i, missing));
      }
    }
    problems.sort((a, b) -> Integer.compare(a.place(), b.place()));
    return new Cutting(List.copyOf(frames), List.copyOf(problems));
  }

  /** The frame of the film at which a beat of the song falls; negative before the film's start. */
  public static long frameOfBeat(int beat, SongUse song, BeatGrid grid, FrameRate rate) {
    return rate.nearestFrame(grid.sampleOf(beat) - song.start());
  }

  /** The range of a shot on screen. */
  public FrameRange rangeOf(int place) {
    return new FrameRange(frames.get(place), frames.get(place + 1));
  }

  /** The film's length in frames. */
  public long length() {
    return frames.isEmpty() ? 0 : frames.get(frames.size() - 1);
  }

  /** The place of the shot on screen at a frame; the nearest one outside the film; -1 if empty. */
  public int placeAt(long frame) {
    int place = -1;
    for (int i = 0; i + 1 < frames.size() && (i == 0 || frames.get(i) <= frame); i++) {
      place = i;
    }
    return place;
  }

  private static long frameOf(Tie tie, Film film, BeatGrid grid, FrameRate rate) {
    if (tie instanceof Tie.Free free) {
      return free.frame();
    }
    Tie.OnBeat onBeat = (Tie.OnBeat) tie;
    return frameOfBeat(onBeat.beat(), film.song(), grid, rate) + onBeat.offset();
  }
}
