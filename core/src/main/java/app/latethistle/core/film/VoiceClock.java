package app.latethistle.core.film;

import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.SampleRange;
import app.latethistle.core.voice.LineTimes;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;

/**
 * Where the lines of a narration are heard in the film, in samples of it.
 *
 * @param lines in the narration's order
 * @param overlaps pairs of lines that sound at once
 */
public record VoiceClock(List<Spoken> lines, List<LineTimes.Overlap> overlaps) {
  /** No voice. */
  public static final VoiceClock SILENT = new VoiceClock(List.of(), List.of());

  /** Samples of rest after which a phrase begins: a fifth of a second. */
  private static final long PHRASE_REST = 9600;

  /**
   * A line in the film.
   *
   * @param text as it is written
   * @param at from the first to after the last sample of its reading; empty without one
   * @param words each in samples of the film
   * @param missing what its start is tied to but which is not there, or ""
   * @param speaker who speaks it; "" where that is not told
   */
  public record Spoken(
      String id,
      int number,
      String text,
      SampleRange at,
      List<Narration.Word> words,
      String missing,
      String speaker) {
    /** Whether it is heard at all. */
    public boolean isHeard() {
      return at.length() > 0;
    }
  }

  /** A word of a line, by its place. */
  public record Place(Spoken line, int word) {
    /** The word itself. */
    public Narration.Word get() {
      return line.words().get(word);
    }
  }

  public VoiceClock {
    lines = List.copyOf(lines);
    overlaps = List.copyOf(overlaps);
  }

  /**
   * Places a narration.
   *
   * @param frames the frame of each joint of the film, as far as they are known
   */
  public static VoiceClock of(
      Narration narration, Film film, List<Long> frames, BeatGrid grid, FrameRate rate) {
    List<LineTimes.Line> wanted = new ArrayList<>();
    List<String> missing = new ArrayList<>();
    for (Narration.Line line : narration.lines()) {
      OptionalLong at = moment(line.start(), film, frames, grid, rate);
      missing.add(at.isPresent() ? "" : missing(line.start()));
      double gap = line.start() instanceof Narration.Start.After after ? after.gap() : 0;
      wanted.add(new LineTimes.Line(line.length(), line.onset(), at, gap));
    }
    LineTimes times = LineTimes.of(wanted);
    List<Spoken> lines = new ArrayList<>();
    for (int i = 0; i < wanted.size(); i++) {
      Narration.Line line = narration.lines().get(i);
      long shift = times.places().get(i).start();
      lines.add(
          new Spoken(
              line.id(),
              line.number(),
              line.text(),
              new SampleRange(shift, times.places().get(i).end()),
              line.words().stream().map(w -> shifted(w, shift)).toList(),
              missing.get(i),
              line.speaker()));
    }
    return new VoiceClock(lines, times.overlaps());
  }

  private static Narration.Word shifted(Narration.Word word, long by) {
    SampleRange at = word.at();
    return new Narration.Word(word.text(), new SampleRange(at.start() + by, at.end() + by));
  }

  private static OptionalLong moment(
      Narration.Start start, Film film, List<Long> frames, BeatGrid grid, FrameRate rate) {
    if (start instanceof Narration.Start.At at) {
      return OptionalLong.of(at.sample());
    }
    if (start instanceof Narration.Start.OnBar on) {
      int beat = grid.firstDownbeat() + (on.bar() - 1) * grid.beatsPerBar();
      return on.bar() < 1 || beat >= grid.size()
          ? OptionalLong.empty()
          : OptionalLong.of(Math.max(0, grid.sampleOf(beat) - film.music().start()));
    }
    if (start instanceof Narration.Start.WithShot with) {
      int place = film.indexOfShot(with.shot());
      return place < 0 || place >= frames.size()
          ? OptionalLong.empty()
          : OptionalLong.of(rate.sampleOf(frames.get(place)));
    }
    return OptionalLong.empty();
  }

  private static String missing(Narration.Start start) {
    if (start instanceof Narration.Start.OnBar on) {
      return "the song has no bar " + on.bar();
    }
    return start instanceof Narration.Start.WithShot ? "its shot is not in the film" : "";
  }

  /** The word a tie names; empty if there is none. */
  public Optional<Place> wordOf(Tie.OnWord tie) {
    return lines.stream()
        .filter(line -> line.id().equals(tie.line()))
        .filter(line -> tie.word() >= 0 && tie.word() < line.words().size())
        .map(line -> new Place(line, tie.word()))
        .findFirst();
  }

  /** The sample of the end of a word that a tie names; empty if it is not heard. */
  OptionalLong at(Tie.OnWord tie) {
    return wordOf(tie)
        .map(place -> place.get().at())
        .filter(at -> at.length() > 0)
        .map(at -> OptionalLong.of(tie.edge() == Tie.Edge.START ? at.start() : at.end()))
        .orElseGet(OptionalLong::empty);
  }

  /** The word that is being spoken at a sample; at the very sample it begins it is not. */
  public Optional<Place> speaking(long sample) {
    for (Spoken line : lines) {
      if (sample <= line.at().start() || sample >= line.at().end()) {
        continue;
      }
      for (int w = 0; w < line.words().size(); w++) {
        SampleRange at = line.words().get(w).at();
        if (sample > at.start() && sample < at.end()) {
          return Optional.of(new Place(line, w));
        }
      }
    }
    return Optional.empty();
  }

  /** Words that begin a phrase: the first of each line, and those after a rest. */
  public List<Place> phrases() {
    List<Place> phrases = new ArrayList<>();
    for (Spoken line : lines) {
      long before = Long.MIN_VALUE / 2;
      for (int w = 0; w < line.words().size(); w++) {
        SampleRange at = line.words().get(w).at();
        if (at.length() == 0) {
          continue;
        }
        if (at.start() - before >= PHRASE_REST) {
          phrases.add(new Place(line, w));
        }
        before = at.end();
      }
    }
    return phrases;
  }
}
