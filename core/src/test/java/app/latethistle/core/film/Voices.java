package app.latethistle.core.film;

import app.latethistle.core.time.SampleRange;
import app.latethistle.core.time.Samples;
import java.util.ArrayList;
import java.util.List;

/** Narrations for tests. */
public final class Voices {
  private Voices() {}

  /** A line whose words last so many seconds each, with a tenth of a second of rest after each. */
  public static Narration.Line line(
      int number, String text, double wordSeconds, Narration.Start start) {
    List<Narration.Word> words = new ArrayList<>();
    double at = 0.1;
    for (String word : text.split(" ")) {
      words.add(
          new Narration.Word(
              word, new SampleRange(Samples.ofSeconds(at), Samples.ofSeconds(at + wordSeconds))));
      at += wordSeconds + 0.1;
    }
    return new Narration.Line("l" + number, number, words, Samples.ofSeconds(at), start);
  }

  /** Lines whose first words are at times of the film, in seconds. */
  public static Narration at(String text, double wordSeconds, double... seconds) {
    List<Narration.Line> lines = new ArrayList<>();
    for (int i = 0; i < seconds.length; i++) {
      lines.add(
          line(i + 1, text, wordSeconds, new Narration.Start.At(Samples.ofSeconds(seconds[i]))));
    }
    return new Narration(lines);
  }

  /** A narration that does not depend on a film, placed. */
  public static VoiceClock placed(Narration narration) {
    return VoiceClock.of(narration, Film.EMPTY, List.of(), Films.GRID, Films.RATE);
  }
}
