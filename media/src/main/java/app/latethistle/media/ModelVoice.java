package app.latethistle.media;

import app.latethistle.core.signal.MonoSound;
import app.latethistle.core.story.Words;
import app.latethistle.core.voice.ModelReading;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Reads a text word by word, with a rest after each that is longer than any rest inside a word, so
 * that it is known where every word is: the model that readings are aligned with.
 */
public final class ModelVoice {
  private static final SpeechSynthesis.Voice VOICE =
      new SpeechSynthesis.Voice("gmw/en-US", 140, 50);

  /** The synthesiser's rate. */
  private static final int RATE = 22_050;

  private static final String REST = "<break time=\"300ms\"/>";

  /** A rest this long parts two words, in seconds. */
  private static final double PARTS = 0.15;

  private static final float SILENT = 16 / 32_768f;

  private ModelVoice() {}

  /**
   * The model of a text; it has no words if the text has none.
   *
   * @throws IOException if the synthesiser fails
   */
  public static ModelReading read(String text) throws IOException {
    List<String> words = Words.of(text);
    List<String> spoken = words.stream().map(ModelVoice::spoken).toList();
    List<float[]> sounds = new ArrayList<>();
    if (!words.isEmpty()) {
      sounds = parts(SpeechSynthesis.speak(String.join(REST, spoken), VOICE, true));
    }
    if (sounds.size() != words.size()) {
      // A number or a name with a rest inside: each word by itself.
      sounds = new ArrayList<>();
      for (String word : spoken) {
        sounds.add(trimmed(SpeechSynthesis.speak(word, VOICE, false)));
      }
    }
    return model(words, sounds);
  }

  /** "A" alone would be spoken as the letter's name. */
  private static String spoken(String word) {
    return word.equalsIgnoreCase("a") ? "uh" : word;
  }

  private static ModelReading model(List<String> words, List<float[]> sounds) {
    float[] all = new float[sounds.stream().mapToInt(s -> s.length).sum()];
    List<ModelReading.Word> timed = new ArrayList<>();
    int at = 0;
    for (int i = 0; i < sounds.size(); i++) {
      float[] sound = sounds.get(i);
      System.arraycopy(sound, 0, all, at, sound.length);
      double start = (double) at / RATE;
      at += sound.length;
      timed.add(new ModelReading.Word(words.get(i), start, (double) at / RATE));
    }
    return new ModelReading(new MonoSound(all, RATE), timed);
  }

  private static List<float[]> parts(MonoSound sound) {
    float[] samples = sound.samples();
    int rest = (int) (PARTS * sound.rate());
    List<float[]> parts = new ArrayList<>();
    int from = -1;
    int last = -1;
    for (int i = 0; i <= samples.length; i++) {
      if (from >= 0 && (i == samples.length || i - last > rest)) {
        parts.add(Arrays.copyOfRange(samples, from, last + 1));
        from = -1;
      }
      if (i < samples.length && Math.abs(samples[i]) >= SILENT) {
        from = from < 0 ? i : from;
        last = i;
      }
    }
    return parts;
  }

  private static float[] trimmed(MonoSound sound) {
    float[] samples = sound.samples();
    int from = 0;
    int to = samples.length;
    while (from < to && Math.abs(samples[from]) < SILENT) {
      from++;
    }
    while (to > from && Math.abs(samples[to - 1]) < SILENT) {
      to--;
    }
    return Arrays.copyOfRange(samples, from, to);
  }
}
