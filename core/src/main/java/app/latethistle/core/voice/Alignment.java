package app.latethistle.core.voice;

import app.latethistle.core.time.SampleRange;
import java.util.List;

/**
 * Where the words of a text are in a reading of it.
 *
 * @param words every word of the text, in order
 * @param strays stretches of speech that are not in the text, in order
 * @param fit how much better the reading fits its text than the same words in wrong orders, 0 to 1:
 *     about 0.8 for the model's own voice, mostly under 0.15 for another text; where a recogniser
 *     judged, how likely its sounds are
 */
public record Alignment(List<SpokenWord> words, List<SampleRange> strays, double fit) {
  /** The least fit of a reading that is taken for a reading of its text. */
  public static final double FITS = 0.15;

  public Alignment {
    words = List.copyOf(words);
    strays = List.copyOf(strays);
  }

  /** Whether the reading is one of this text, and every word of it is in its place. */
  public boolean matches() {
    return fit >= FITS && strays.isEmpty() && words.stream().noneMatch(SpokenWord::isDoubtful);
  }

  /** How many words are heard and not doubtful; none if the reading does not fit the text. */
  public int found() {
    return fit < FITS ? 0 : (int) words.stream().filter(w -> !w.isDoubtful()).count();
  }
}
