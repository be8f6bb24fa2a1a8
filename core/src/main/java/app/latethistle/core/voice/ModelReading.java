package app.latethistle.core.voice;

import app.latethistle.core.signal.MonoSound;
import java.util.ArrayList;
import java.util.List;

/**
 * A synthesised reading whose word times are known, the pattern that other readings of the same
 * text are held against.
 *
 * @param sound the words one after the other
 * @param words in the order of the text, with the seconds they take up in the sound
 */
public record ModelReading(MonoSound sound, List<Word> words) {
  /**
   * A word of the model.
   *
   * @param text as it is written
   * @param start seconds
   * @param end seconds, after {@code start}
   */
  public record Word(String text, double start, double end) {}

  public ModelReading {
    words = List.copyOf(words);
  }

  /**
   * Models one after the other as one.
   *
   * @param parts at least one, all at the same rate
   */
  static ModelReading joined(List<ModelReading> parts) {
    int rate = parts.get(0).sound.rate();
    int total = parts.stream().mapToInt(p -> p.sound.samples().length).sum();
    float[] samples = new float[total];
    List<Word> words = new ArrayList<>();
    int at = 0;
    for (ModelReading part : parts) {
      double offset = (double) at / rate;
      System.arraycopy(part.sound.samples(), 0, samples, at, part.sound.samples().length);
      for (Word w : part.words) {
        words.add(new Word(w.text, w.start + offset, w.end + offset));
      }
      at += part.sound.samples().length;
    }
    return new ModelReading(new MonoSound(samples, rate), words);
  }
}
