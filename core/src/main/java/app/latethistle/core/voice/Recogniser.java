package app.latethistle.core.voice;

import app.latethistle.core.signal.MonoSound;
import java.io.IOException;
import java.util.List;

/**
 * Hears the words of a text in a reading with a model of the sounds of speech that was trained on
 * many voices. A port: the model lies outside.
 */
public interface Recogniser {
  /** Knows no word. */
  Recogniser NONE = (reading, words) -> List.of();

  /**
   * A word as it is heard.
   *
   * @param start seconds into the reading
   * @param end seconds; {@code start} if the word is not heard at all
   * @param likelihood the natural logarithm of how likely its sounds are beside the likeliest
   *     sounds there, summed over its frames of {@link #FRAME_SECONDS}; 0 at most
   */
  record Heard(double start, double end, double likelihood) {
    int frames() {
      return (int) Math.round((end - start) / FRAME_SECONDS);
    }
  }

  /** What likelihoods are summed over. */
  double FRAME_SECONDS = 0.01;

  /**
   * Hears words.
   *
   * @param words as they are written, in the order they are read
   * @return one for each word, or none if it cannot tell
   * @throws IOException if the model cannot be used
   */
  List<Heard> hear(MonoSound reading, List<String> words) throws IOException;
}
