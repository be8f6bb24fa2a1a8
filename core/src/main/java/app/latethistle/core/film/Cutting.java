package app.latethistle.core.film;

import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalLong;

/**
 * A film resolved against its clocks: the frame of each joint, where the voice is heard, and what
 * could not be honoured.
 *
 * @param frames the frame of each joint, strictly rising from 0; empty for an empty film
 * @param overlaps for each joint the frames in which both its shots are seen
 * @param voice where the lines are heard
 * @param beside where what lies over and beside the cut stands
 * @param problems what a person should look at, in the order of the film
 */
public record Cutting(
    List<Long> frames,
    List<Overlap> overlaps,
    VoiceClock voice,
    Beside beside,
    List<Problem> problems) {
  /** Frames by which a cut may miss a word's end without being inside it. */
  private static final int AT_EDGE = 1;

  /** What is wrong. */
  public enum Kind {
    /** The joint's moment lies outside the film or at or before the joint before it. */
    TIE_NOT_HONOURED,
    /** The joint is tied to a beat that the song does not have. */
    BEAT_MISSING,
    /** The joint is tied to a word that is not read. */
    WORD_MISSING,
    /** The joint is tied to a word of a line that begins where the joint does. */
    TIED_IN_CIRCLE,
    /** The cut falls inside a spoken word; how many frames it is to the nearer end. */
    INSIDE_WORD,
    /** A line goes on after the film's end; for how many frames. */
    LINE_PAST_END,
    /** The shot is on screen longer than its take has frames from its in point. */
    OUT_OF_MATERIAL,
    /** The transition at the shot's end shows it after its take's last frame; for how many. */
    ENDS_SHORT,
    /** The transition at the shot's start shows it before its take's first frame; for how many. */
    STARTS_SHORT,
    /** The transition at the shot's end is shorter than it should be; by how many frames. */
    TRANSITION_CROWDED,
    /** The placement's take is no longer in the production. */
    TAKE_MISSING,
    /** A line is heard while the shot it speaks of is not seen; for how many frames. */
    LINE_APART,
    /** Something that lies over or beside the cut is tied to what is not there. */
    NOT_PLACED
  }

  /**
   * Where what is not in the cut stands, by its name; what cannot be placed is left out.
   *
   * @param overlays the frames each overlay is seen
   * @param sounds the place of each sound
   * @param titles the place of each title
   * @param markers the frame of each marker
   */
  public record Beside(
      Map<String, FrameRange> overlays,
      Map<String, SoundPlace> sounds,
      Map<String, TitlePlace> titles,
      Map<String, Long> markers) {}

  /**
   * Something to look at.
   *
   * @param kind what is wrong
   * @param place the shot concerned, from 0
   * @param frames how many frames are missing or were moved; 0 if that says nothing
   */
  public record Problem(Kind kind, int place, long frames) {}

  /** Resolves a film against the music alone, as {@link #of(Film, Clocks, FrameRate, Map)}. */
  public static Cutting of(Film film, BeatGrid grid, FrameRate rate, Map<String, Take> takes) {
    return of(film, Clocks.of(grid), rate, takes);
  }

  /**
   * Resolves a film. Each tied joint lands on the frame nearest to its beat or word, from absolute
   * time, so no error builds up. A joint that would not come at least one frame after the one
   * before it is put there and reported. A line that starts with a shot whose place hangs on a word
   * of that line follows the line before instead, and the joint is reported.
   *
   * @param clocks an empty grid and narration leave only free joints resolvable
   * @param takes the production's takes by id
   */
  public static Cutting of(Film film, Clocks clocks, FrameRate rate, Map<String, Take> takes) {
    BeatGrid grid = clocks.grid();
    List<Problem> problems = new ArrayList<>();
    Settled settled = Settled.of(film, clocks, rate, problems);
    List<Long> frames = settled.frames();
    VoiceClock voice = settled.voice();
    insideWords(frames, voice, rate, problems);
    pastEnd(frames, voice, rate, problems);
    outOfMaterial(film, frames, takes, problems);
    List<Overlap> overlaps = Overlap.of(film, frames, clocks, rate, takes);
    overlapsShort(film, overlaps, problems);
    Beside beside = beside(film, frames, voice, grid, rate);
    notPlaced(film, frames, beside, rate, takes, problems);
    problems.sort((a, b) -> Integer.compare(a.place(), b.place()));
    return new Cutting(List.copyOf(frames), overlaps, voice, beside, List.copyOf(problems));
  }

  private static void insideWords(
      List<Long> frames, VoiceClock voice, FrameRate rate, List<Problem> problems) {
    for (int j = 1; j + 1 < frames.size(); j++) {
      long inside = framesInside(frames.get(j), voice, rate);
      if (inside > 0) {
        problems.add(new Problem(Kind.INSIDE_WORD, j - 1, inside));
      }
    }
  }

  private static void pastEnd(
      List<Long> frames, VoiceClock voice, FrameRate rate, List<Problem> problems) {
    if (frames.isEmpty()) {
      return;
    }
    long end = frames.get(frames.size() - 1);
    long last =
        voice.lines().stream()
            .flatMap(line -> line.words().stream())
            .mapToLong(word -> rate.nearestFrame(word.at().end()))
            .max()
            .orElse(0);
    if (last > end) {
      problems.add(new Problem(Kind.LINE_PAST_END, frames.size() - 2, last - end));
    }
  }

  /** How many frames a cut is from the nearer end of the word it falls in; 0 if in none. */
  public static long framesInside(long frame, VoiceClock voice, FrameRate rate) {
    return voice
        .speaking(rate.sampleOf(frame))
        .map(
            place -> {
              long before = frame - rate.nearestFrame(place.get().at().start());
              long after = rate.nearestFrame(place.get().at().end()) - frame;
              long away = Math.min(before, after);
              return away <= AT_EDGE ? 0 : away;
            })
        .orElse(0L);
  }

  private static void outOfMaterial(
      Film film, List<Long> frames, Map<String, Take> takes, List<Problem> problems) {
    for (int i = 0; i < film.placements().size(); i++) {
      Placement placement = film.placements().get(i);
      if (!placement.hasPicture()) {
        continue;
      }
      Take take = takes.get(placement.take());
      if (take == null) {
        problems.add(new Problem(Kind.TAKE_MISSING, i, 0));
        continue;
      }
      long missing =
          placement.run().missing(placement.in(), take.frames(), frames.get(i + 1) - frames.get(i));
      if (missing > 0) {
        problems.add(new Problem(Kind.OUT_OF_MATERIAL, i, missing));
      }
    }
  }

  private static void overlapsShort(Film film, List<Overlap> overlaps, List<Problem> problems) {
    for (int j = 1; j + 1 < overlaps.size(); j++) {
      Overlap overlap = overlaps.get(j);
      boolean told = !film.joints().get(j).transition().holds();
      if (told && overlap.endsShort() > 0) {
        problems.add(new Problem(Kind.ENDS_SHORT, j - 1, overlap.endsShort()));
      }
      if (told && overlap.startsShort() > 0) {
        problems.add(new Problem(Kind.STARTS_SHORT, j, overlap.startsShort()));
      }
      if (overlap.isCrowded()) {
        long less = overlap.wanted() - overlap.frames().length();
        problems.add(new Problem(Kind.TRANSITION_CROWDED, j - 1, less));
      }
    }
  }

  private static Beside beside(
      Film film, List<Long> joints, VoiceClock voice, BeatGrid grid, FrameRate rate) {
    Map<String, FrameRange> overlays = new HashMap<>();
    for (Overlay overlay : film.overlays()) {
      OptionalLong start = frameOf(overlay.start(), film.music(), voice, grid, rate);
      OptionalLong end = frameOf(overlay.end(), film.music(), voice, grid, rate);
      if (start.isPresent() && end.isPresent() && start.getAsLong() < end.getAsLong()) {
        overlays.put(overlay.name(), new FrameRange(start.getAsLong(), end.getAsLong()));
      }
    }
    Landings landings = new Landings(film, joints, voice, grid, rate);
    Map<String, Long> markers = new HashMap<>();
    for (Marker marker : film.markers()) {
      frameOf(marker.at(), film.music(), voice, grid, rate)
          .ifPresent(frame -> markers.put(marker.id(), frame));
    }
    return new Beside(
        Map.copyOf(overlays), landings.places(), landings.titles(), Map.copyOf(markers));
  }

  private static void notPlaced(
      Film film,
      List<Long> frames,
      Beside beside,
      FrameRate rate,
      Map<String, Take> takes,
      List<Problem> problems) {
    if (frames.isEmpty()) {
      return;
    }
    long end = frames.get(frames.size() - 1);
    int last = film.placements().size() - 1;
    for (Overlay overlay : film.overlays()) {
      FrameRange range = beside.overlays().get(overlay.name());
      if (range == null || range.start() >= end || range.end() <= 0) {
        problems.add(new Problem(Kind.NOT_PLACED, last, 0));
      } else if (takes.containsKey(overlay.placement().take())) {
        Take take = takes.get(overlay.placement().take());
        Placement p = overlay.placement();
        long missing = p.run().missing(p.in(), take.frames(), range.length());
        if (missing > 0) {
          int place = placeAt(frames, range.start());
          problems.add(new Problem(Kind.OUT_OF_MATERIAL, place, missing));
        }
      }
    }
    for (FilmSound sound : film.sounds()) {
      SoundPlace at = beside.sounds().get(sound.id());
      if (at == null || at.start() >= rate.sampleOf(end) || at.end() <= 0) {
        problems.add(new Problem(Kind.NOT_PLACED, last, 0));
      }
    }
    for (FilmTitle title : film.titles()) {
      TitlePlace at = beside.titles().get(title.id());
      if (at == null || at.start() >= end || at.end() <= 0) {
        problems.add(new Problem(Kind.NOT_PLACED, last, 0));
      }
    }
  }

  /** The frame of the film at which a beat of the song falls; negative before the film's start. */
  public static long frameOfBeat(int beat, SongUse song, BeatGrid grid, FrameRate rate) {
    return rate.nearestFrame(grid.sampleOf(beat) - song.start());
  }

  /** The range of a shot on screen. */
  public FrameRange rangeOf(int place) {
    return new FrameRange(frames.get(place), frames.get(place + 1));
  }

  /** The frames in which a shot is seen: more than its own where a transition shows more. */
  public FrameRange seenOf(int place) {
    FrameRange before = overlaps.get(place).frames();
    FrameRange after = overlaps.get(place + 1).frames();
    return new FrameRange(
        before.isEmpty() ? frames.get(place) : before.start(),
        after.isEmpty() ? frames.get(place + 1) : after.end());
  }

  /** The film's length in frames. */
  public long length() {
    return frames.isEmpty() ? 0 : frames.get(frames.size() - 1);
  }

  /** The place of the shot on screen at a frame; the nearest one outside the film; -1 if empty. */
  public int placeAt(long frame) {
    return placeAt(frames, frame);
  }

  private static int placeAt(List<Long> frames, long frame) {
    int place = -1;
    for (int i = 0; i + 1 < frames.size() && (i == 0 || frames.get(i) <= frame); i++) {
      place = i;
    }
    return place;
  }

  /** The frame a tie to a clock asks for; empty if its beat or word is not there. */
  public static OptionalLong frameOf(
      Tie tie, SongUse song, VoiceClock voice, BeatGrid grid, FrameRate rate) {
    if (tie instanceof Tie.OnWord on) {
      OptionalLong sample = voice.at(on);
      return sample.isEmpty()
          ? sample
          : OptionalLong.of(rate.nearestFrame(sample.getAsLong()) + on.offset());
    }
    if (tie instanceof Tie.OnBeat on) {
      return on.beat() < 0 || on.beat() >= grid.size()
          ? OptionalLong.empty()
          : OptionalLong.of(frameOfBeat(on.beat(), song, grid, rate) + on.offset());
    }
    return tie instanceof Tie.Free free ? OptionalLong.of(free.frame()) : OptionalLong.empty();
  }
}
