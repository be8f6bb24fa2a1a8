package app.latethistle.server.stored;

import app.latethistle.core.time.SampleRange;
import app.latethistle.core.voice.Alignment;
import app.latethistle.core.voice.ReadingFacts;
import app.latethistle.core.voice.SpokenWord;
import app.latethistle.document.SamplesForm;
import java.util.List;
import tools.jackson.databind.JsonNode;

/** What was heard in a reading of a line, as it is stored. */
public final class StoredReading {
  /** Format 1 had no number and was the same. */
  private static final int FORMAT = 2;

  private StoredReading() {}

  /**
   * What was heard.
   *
   * @param length in samples at 48 kHz
   */
  public record Heard(
      long length, Alignment alignment, List<SampleRange> pauses, ReadingFacts facts) {}

  private record Word(String text, long start, long end, double confidence) {}

  private record Facts(
      double wordsPerMinute, double loudness, double peak, int clipped, double noise) {}

  private record Stored(
      long length,
      List<Word> words,
      List<SamplesForm> strays,
      double fit,
      List<SamplesForm> pauses,
      Facts facts) {}

  /** What was heard, as text. */
  public static String write(Heard heard) {
    ReadingFacts f = heard.facts;
    return Json.write(
        FORMAT,
        new Stored(
            heard.length,
            heard.alignment.words().stream()
                .map(w -> new Word(w.text(), w.start(), w.end(), w.confidence()))
                .toList(),
            SamplesForm.of(heard.alignment.strays()),
            heard.alignment.fit(),
            SamplesForm.of(heard.pauses),
            new Facts(f.wordsPerMinute(), f.loudness(), f.peak(), f.clipped(), f.noise())));
  }

  /** What was heard, of any format. */
  public static Heard read(String text) {
    JsonNode tree = Json.tree(text);
    Json.format(tree, FORMAT);
    Stored s = Json.as(tree, Stored.class);
    Facts f = s.facts;
    return new Heard(
        s.length,
        new Alignment(
            s.words.stream()
                .map(w -> new SpokenWord(w.text, w.start, w.end, w.confidence))
                .toList(),
            s.strays.stream().map(SamplesForm::range).toList(),
            s.fit),
        s.pauses.stream().map(SamplesForm::range).toList(),
        new ReadingFacts(f.wordsPerMinute, f.loudness, f.peak, f.clipped, f.noise));
  }
}
