package app.latethistle.core.mix;

import app.latethistle.core.film.MusicTurn;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.sound.Bus;
import app.latethistle.core.time.SampleRange;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;

/** What happens to a film's music, in its samples. */
public final class MusicTurns {
  /** The longest that music is muffled: a minute is held in memory. */
  private static final long LONGEST = 60L * 48_000;

  /** Samples in which it goes, so that it does not click: 10 ms. */
  private static final long GOES = 480;

  /** Samples in which it comes back before the moment it is whole at: 5 ms. */
  private static final long COMES = 240;

  /** What silence is in a line, in decibels: less than the last bit of 16. */
  private static final double SILENT = -100;

  private final Resolved film;
  private final long length;

  public MusicTurns(Resolved film) {
    this.film = film;
    this.length = film.rate().sampleOf(film.cutting().length());
  }

  /** When a turn is in the film; empty if what it is tied to is not there, or it ends before. */
  public Optional<SampleRange> range(MusicTurn turn) {
    OptionalLong from = film.sampleOf(turn.from());
    OptionalLong until = film.sampleOf(turn.until());
    if (from.isEmpty() || until.isEmpty()) {
      return Optional.empty();
    }
    long start = Math.max(0, from.getAsLong());
    long end = Math.min(length, until.getAsLong());
    return end > start ? Optional.of(new SampleRange(start, end)) : Optional.empty();
  }

  /** When the music is heard: all of the film but where it stops. */
  public List<SampleRange> heard() {
    List<SampleRange> heard = new ArrayList<>();
    long at = 0;
    for (SampleRange stop : ranges(MusicTurn.Kind.STOP)) {
      if (stop.start() > at) {
        heard.add(new SampleRange(at, stop.start()));
      }
      at = Math.max(at, stop.end());
    }
    if (length > at) {
      heard.add(new SampleRange(at, length));
    }
    return heard;
  }

  private List<SampleRange> ranges(MusicTurn.Kind kind) {
    return film.film().balance().turns().stream()
        .filter(turn -> turn.kind() == kind)
        .flatMap(turn -> range(turn).stream())
        .sorted(Comparator.comparingLong(SampleRange::start))
        .toList();
  }

  /** The music of a film in parts: as it is, and muffled. */
  List<Part> parts(String media) {
    List<Part> parts = new ArrayList<>();
    long at = 0;
    for (SampleRange turn : ranges(MusicTurn.Kind.MUFFLE)) {
      long start = Math.max(at, Math.max(turn.start(), turn.end() - LONGEST));
      if (turn.end() > start) {
        add(parts, media, new SampleRange(at, start), Effect.none());
        add(parts, media, new SampleRange(start, turn.end()), new Effect.Muffled());
        at = turn.end();
      }
    }
    add(parts, media, new SampleRange(at, length), Effect.none());
    return parts;
  }

  private void add(List<Part> parts, String media, SampleRange at, Effect effect) {
    if (!at.isEmpty()) {
      Course course = new Course.Straight(film.film().music().start() + at.start());
      parts.add(new Part(Bus.MUSIC, media, at, course, 0, Edges.NONE, effect));
    }
  }

  /** The gain of music that stops: it is whole again with the first sample after. */
  LevelLine stops() {
    LevelLine line = LevelLine.FLAT;
    for (SampleRange stop : ranges(MusicTurn.Kind.STOP)) {
      long quiet = Math.min(stop.start() + GOES, stop.end());
      line =
          line.lower(
              new LevelLine(
                  List.of(
                      new LevelLine.Point(stop.start(), 0),
                      new LevelLine.Point(quiet, SILENT),
                      new LevelLine.Point(Math.max(quiet, stop.end() - COMES), SILENT),
                      new LevelLine.Point(stop.end(), 0))));
    }
    return line;
  }
}
