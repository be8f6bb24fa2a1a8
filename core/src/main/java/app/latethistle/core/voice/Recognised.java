package app.latethistle.core.voice;

import app.latethistle.core.time.Samples;
import java.util.ArrayList;
import java.util.List;

/**
 * What a trained recogniser says of a reading, as an alignment. A word is judged by the mean
 * likelihood of its frames beside the likeliest sounds there (the goodness of pronunciation of Witt
 * and Young 2000, by words). Short words are spoken in many ways and have few frames, so their mean
 * is drawn towards that of the other words of the reading, as if these had been heard for {@link
 * #DRAWN} frames more; half of that mean is taken off, for it tells of the voice and the room.
 *
 * <p>The numbers were found on a third of some phone prompts by one woman, chosen among few on
 * another third and left as they were for the last, where one word in 161 that is said was doubted.
 */
final class Recognised {
  private static final int DRAWN = 10;
  private static final double OF_THE_OTHERS = 0.5;

  /** Where a word is as likely right as wrong, and where nothing at all speaks against it. */
  private static final double EVEN = -3.1;

  private static final double SURE = -1;

  /** The mean likelihood a frame of a reading of another text, and of one that fits wholly. */
  private static final double ANOTHER_TEXT = -3.3;

  private static final double WHOLLY = -1.3;

  private Recognised() {}

  /**
   * An alignment from what was heard.
   *
   * @param texts the words as they are written
   * @param heard one for each of them
   */
  static Alignment of(SpeechFeatures reading, List<String> texts, List<Recogniser.Heard> heard) {
    double sum = heard.stream().mapToDouble(Recogniser.Heard::likelihood).sum();
    int frames = heard.stream().mapToInt(Recogniser.Heard::frames).sum();
    List<SpokenWord> words = new ArrayList<>();
    boolean[] spoken = new boolean[reading.length()];
    long at = 0;
    int found = 0;
    for (int w = 0; w < texts.size(); w++) {
      Recogniser.Heard word = heard.get(w);
      long start = Math.max(at, Samples.ofSeconds(word.start()));
      long end = Math.max(start, Samples.ofSeconds(word.end()));
      if (word.frames() == 0) {
        words.add(new SpokenWord(texts.get(w), at, at, 0));
        continue;
      }
      found++;
      double others = (sum - word.likelihood()) / Math.max(1, frames - word.frames());
      double mean = (word.likelihood() + DRAWN * others) / (word.frames() + DRAWN);
      double fit = mean - OF_THE_OTHERS * others;
      double confidence =
          SpokenWord.DOUBTFUL + (1 - SpokenWord.DOUBTFUL) * (fit - EVEN) / (SURE - EVEN);
      // What is squeezed into too little sound to be doubted, and unlikely there, is not said.
      boolean squeezed = confidence < SpokenWord.DOUBTFUL && end - start < SpokenWord.SHORT;
      words.add(
          new SpokenWord(
              texts.get(w), start, squeezed ? start : end, Math.max(0, Math.min(1, confidence))));
      int to = Math.min(spoken.length, reading.frameAt(word.end()));
      for (int t = reading.frameAt(word.start()); t < to; t++) {
        spoken[t] = true;
      }
      at = end;
    }
    double mean = sum / Math.max(1, frames);
    double fit = (mean - ANOTHER_TEXT) / (WHOLLY - ANOTHER_TEXT) * found / texts.size();
    return new Alignment(
        words,
        Strays.of(reading, t -> !spoken[t]),
        frames == 0 ? 0 : Math.max(0, Math.min(1, fit)));
  }
}
