package app.latethistle.core.caption;

import app.latethistle.core.film.Narration.Word;
import app.latethistle.core.time.SampleRange;
import java.util.ArrayList;
import java.util.List;

/**
 * A line as it is heard: captions do not go over its ends.
 *
 * @param id of the line
 * @param words in samples of the film, each with a time, in order
 */
public record SpokenLine(String id, List<Word> words) {
  public SpokenLine {
    words = List.copyOf(words);
  }

  /** A line of which words that were not heard stand where the one before them ends. */
  public static SpokenLine of(String id, List<Word> words) {
    long end =
        words.stream()
            .filter(w -> w.at().length() > 0)
            .mapToLong(w -> w.at().start())
            .min()
            .orElse(0);
    List<Word> timed = new ArrayList<>();
    for (Word word : words) {
      SampleRange at = word.at().length() > 0 ? word.at() : new SampleRange(end, end);
      timed.add(new Word(word.text(), at));
      end = Math.max(end, at.end());
    }
    return new SpokenLine(id, timed);
  }
}
