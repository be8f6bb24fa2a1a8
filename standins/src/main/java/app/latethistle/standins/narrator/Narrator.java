package app.latethistle.standins.narrator;

import app.latethistle.core.Refused;
import app.latethistle.core.signal.MonoSound;
import app.latethistle.core.story.Delivery;
import app.latethistle.media.SpeechSynthesis;
import java.io.IOException;
import java.util.List;

/** Reads lines. */
public final class Narrator {
  /** Slower, words would be drawn out; a slower reading rests between them. */
  private static final int SLOWEST = 80;

  private static final int FASTEST = 300;

  /**
   * A voice.
   *
   * @param about what it sounds like, in a few words
   */
  public record Voice(String name, String about, String file, int pitch) {}

  /** The voices. */
  public static final List<Voice> VOICES =
      List.of(
          new Voice("Merrin", "a woman, clear", "gmw/en-US+f3", 48),
          new Voice("Tallow", "a man, low and plain", "gmw/en-US", 34),
          new Voice("Sedge", "a woman, older", "gmw/en+f2", 36),
          new Voice("Pike", "a boy, quick", "gmw/en-US+m3", 78));

  private Narrator() {}

  /**
   * A voice by its name.
   *
   * @throws IllegalArgumentException if there is none
   */
  public static Voice voice(String name) {
    return VOICES.stream()
        .filter(v -> v.name().equals(name))
        .findFirst()
        .orElseThrow(() -> new Refused("There is no voice '" + name + "'."));
  }

  /**
   * Reads a line. Marked pauses are kept, and below 80 words a minute the line is slowed by rests
   * at its stops and commas.
   *
   * @param wordsPerMinute 60 to 300
   * @throws IOException if the synthesiser fails
   */
  public static MonoSound read(String text, Voice voice, double wordsPerMinute, Manner manner)
      throws IOException {
    if (!(wordsPerMinute >= 60 && wordsPerMinute <= FASTEST)) {
      throw new Refused(wordsPerMinute + " words a minute cannot be read; give 60 to 300.");
    }
    double asked = wordsPerMinute * manner.rate();
    int rate = (int) Math.round(Math.max(SLOWEST, Math.min(FASTEST, asked)));
    long rest = Math.round(Math.max(0, 1100 * (SLOWEST / asked - 1)));
    StringBuilder ssml = new StringBuilder();
    for (String part : Delivery.saidBetweenPauses(text)) {
      if (ssml.length() > 0) {
        ssml.append("<break time=\"1000ms\"/>");
      }
      String said = part.replace("&", " and ").replace('<', ' ').replace('>', ' ');
      ssml.append(
          rest == 0
              ? said
              : said.replaceAll("([,;:.!?])(\\s)", "$1<break time=\"" + rest + "ms\"/>$2"));
    }
    int pitch = Math.max(0, Math.min(99, voice.pitch() + manner.pitch()));
    return SpeechSynthesis.speak(
        ssml.toString(), new SpeechSynthesis.Voice(voice.file(), rate, pitch), true);
  }
}
