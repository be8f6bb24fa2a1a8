package app.latethistle.core.film;

import app.latethistle.core.time.SampleRange;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * The lines of a film as they are read, and what the start of each is tied to. Where they are heard
 * in the film is a {@link VoiceClock}.
 *
 * @param lines in the order they are spoken; those without a reading are among them
 */
public record Narration(List<Line> lines) {
  /** No voice. */
  public static final Narration EMPTY = new Narration(List.of());

  public Narration {
    lines = List.copyOf(lines);
  }

  /**
   * The lines whose place does not hang on a film's cuts, which a new cut can be planned around:
   * those that start with a shot, and those that follow them, are left out.
   */
  public Narration apartFromShots() {
    List<Line> apart = new ArrayList<>();
    boolean hangs = false;
    for (Line line : lines) {
      hangs =
          line.start() instanceof Start.WithShot || (hangs && line.start() instanceof Start.After);
      if (!hangs) {
        apart.add(line);
      }
    }
    return new Narration(apart);
  }

  /** The same with some lines following the one before them, whatever they start on. */
  Narration following(Set<String> ids) {
    return new Narration(
        lines.stream()
            .map(line -> ids.contains(line.id()) ? line.startingOn(new Start.After(0)) : line)
            .toList());
  }

  /** The line that starts with a shot and those that follow it, placed from sample 0 on. */
  public Narration startingWith(String shot) {
    List<Line> with = new ArrayList<>();
    for (Line line : lines) {
      if (line.start() instanceof Start.WithShot on && on.shot().equals(shot)) {
        with.add(line.startingOn(new Start.At(0)));
      } else if (!with.isEmpty() && line.start() instanceof Start.After) {
        with.add(line);
      } else if (!with.isEmpty()) {
        break;
      }
    }
    return new Narration(with);
  }

  /**
   * A line.
   *
   * @param id its name in the production
   * @param number its place in the script, from 1
   * @param text as it is written, its marks among it
   * @param words of its reading, in samples of the reading as it is used
   * @param length of the reading in samples; 0 without one
   * @param start what its first word is tied to
   * @param speaker who speaks it; "" where that is not told
   */
  public record Line(
      String id,
      int number,
      String text,
      List<Word> words,
      long length,
      Start start,
      String speaker) {
    /** One that is written as it is read, by somebody. */
    public Line(String id, int number, List<Word> words, long length, Start start) {
      this(id, number, textOf(words), words, length, start, "");
    }

    public Line {
      words = List.copyOf(words);
    }

    Line startingOn(Start other) {
      return new Line(id, number, text, words, length, other, speaker);
    }

    /** Where its first word begins in the reading, in samples. */
    public long onset() {
      OptionalInt first = firstHeard();
      return first.isEmpty() ? 0 : words.get(first.getAsInt()).at().start();
    }

    private OptionalInt firstHeard() {
      for (int i = 0; i < words.size(); i++) {
        if (words.get(i).at().length() > 0) {
          return OptionalInt.of(i);
        }
      }
      return OptionalInt.empty();
    }
  }

  /** The words one after another. */
  static String textOf(List<Word> words) {
    return words.stream().map(Word::text).collect(Collectors.joining(" "));
  }

  /** A word; one that was not heard has no length. */
  public record Word(String text, SampleRange at) {}

  /** What a line's first word is tied to. */
  public sealed interface Start {
    /** The end of the line before, and so many seconds. */
    record After(double gap) implements Start {}

    /** A sample of the film. */
    record At(long sample) implements Start {}

    /** A bar of the song, from 1. */
    record OnBar(int bar) implements Start {}

    /** The first frame of a shot. */
    record WithShot(String shot) implements Start {}
  }
}
