package app.latethistle.media;

import app.latethistle.core.signal.MonoSound;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;

/** Speaks text with espeak-ng, a formant synthesiser, run as a program of its own. */
public final class SpeechSynthesis {
  private static final int HEADER = 44;
  private static final int RATE_AT = 24;
  private static final int LIMIT_SECONDS = 120;

  private SpeechSynthesis() {}

  /**
   * A voice.
   *
   * @param name a voice file and a variant, such as "gmw/en-US+f3"
   * @param wordsPerMinute 80 to 450
   * @param pitch 0 to 99
   */
  public record Voice(String name, int wordsPerMinute, int pitch) {}

  /**
   * Speaks a text. The same text and voice give the same samples.
   *
   * @param markup whether the text is SSML
   * @throws IOException if the synthesiser is not there or says nothing
   */
  public static MonoSound speak(String text, Voice voice, boolean markup) throws IOException {
    List<String> command = new ArrayList<>(List.of("espeak-ng", "-b", "1", "-z"));
    command.addAll(List.of("-v", voice.name(), "-s", Integer.toString(voice.wordsPerMinute())));
    command.addAll(List.of("-p", Integer.toString(voice.pitch()), "--stdin", "--stdout"));
    if (markup) {
      command.add("-m");
    }
    byte[] wave = Child.output(command, text.getBytes(StandardCharsets.UTF_8), LIMIT_SECONDS);
    if (wave.length <= HEADER) {
      throw new IOException("The speech synthesiser said nothing for: " + text);
    }
    ByteBuffer bytes = ByteBuffer.wrap(wave).order(ByteOrder.LITTLE_ENDIAN);
    float[] samples = new float[(wave.length - HEADER) / 2];
    for (int i = 0; i < samples.length; i++) {
      samples[i] = bytes.getShort(HEADER + 2 * i) / 32_768f;
    }
    return new MonoSound(samples, bytes.getInt(RATE_AT));
  }
}
