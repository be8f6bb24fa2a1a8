package app.latethistle.media;

import app.latethistle.core.Refused;
import app.latethistle.core.signal.MonoSound;
import app.latethistle.core.story.Delivery;
import app.latethistle.core.story.Words;
import app.latethistle.core.voice.Alignment;
import app.latethistle.core.voice.LongReading;
import app.latethistle.core.voice.ModelReading;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;

/**
 * Finds the words of a text in a reading of it, with models it has synthesised; voices that are far
 * from theirs are judged by a trained recogniser.
 */
public final class WordFinder {
  private WordFinder() {}

  /**
   * Aligns a reading with its text, sentence by sentence where it is long.
   *
   * @param reading mono; 22,050 samples a second are enough
   * @throws IOException if the synthesiser or the recogniser fails
   * @throws IllegalArgumentException if the text has no words, or the reading cannot be aligned
   */
  public static Alignment find(MonoSound reading, String text) throws IOException {
    List<ModelReading> models = new ArrayList<>();
    for (String sentence : Words.sentences(Delivery.said(text))) {
      models.add(ModelVoice.read(sentence));
    }
    if (models.isEmpty()) {
      throw new Refused("There are no words to find.");
    }
    return LongReading.align(reading, models, new TrainedRecogniser());
  }
}
