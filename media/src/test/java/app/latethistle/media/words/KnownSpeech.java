package app.latethistle.media.words;

import app.latethistle.core.signal.MonoSound;
import app.latethistle.media.Container;
import app.latethistle.media.SongDecoder;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A line spoken by a synthesiser that tells where its words begin.
 *
 * @param starts seconds, by the place of the word in the text, from 0
 */
record KnownSpeech(String text, MonoSound sound, Map<Integer, Double> starts) {
  /** Invented lines, with short words, numbers, names of few letters and long phrases. */
  static final List<String> LINES =
      List.of(
          "On the longest night, the valley still writes letters.",
          "The water took the bridges. It left us the wind.",
          "Forty-one lanterns. Forty-one doors.",
          "And one address that is no longer there.",
          "She had walked the same narrow street for eleven years, and never once looked up.",
          "There was a time when every house kept a candle burning until the morning.",
          "The old keeper counts the boats again, because his number cannot be right.",
          "He opened the box slowly; inside it was a key, a ticket, and a photograph of the sea.",
          "Listen. The bell is ringing under the water.",
          "Every machine in the factory stopped at the very same second.",
          "The girl with the red umbrella gave the postman a smile and a warning.",
          "It took him nine days to cross the marsh, and only one to forget why.");

  private static final Pattern WORD = Pattern.compile("[\\p{L}\\p{N}]+(?:['’-][\\p{L}\\p{N}]+)*");

  /** The lines as espeak-ng speaks them; the word events of its library say where words begin. */
  static List<KnownSpeech> espeak(String voice, int wordsPerMinute, int pitch, Path folder)
      throws IOException {
    run(
        String.join("\n", LINES),
        "/usr/bin/python3",
        "src/test/python/known_speech.py",
        voice,
        Integer.toString(wordsPerMinute),
        Integer.toString(pitch),
        folder.toString());
    List<KnownSpeech> spoken = new ArrayList<>();
    for (int i = 0; i < LINES.size(); i++) {
      Map<Integer, Integer> places = new HashMap<>();
      Matcher m = WORD.matcher(LINES.get(i));
      while (m.find()) {
        places.put(m.start(), places.size());
      }
      Map<Integer, Double> starts = new HashMap<>();
      for (String row : Files.readAllLines(folder.resolve(i + ".csv"))) {
        String[] cells = row.split(",");
        Integer place = places.get(Integer.parseInt(cells[0]));
        if (place != null) {
          starts.put(place, Double.parseDouble(cells[1]));
        }
      }
      spoken.add(new KnownSpeech(LINES.get(i), sound(folder.resolve(i + ".wav")), starts));
    }
    return spoken;
  }

  /** The lines as festival speaks them with a voice trained on a woman; its own word times. */
  static List<KnownSpeech> festival(Path folder) throws IOException {
    StringBuilder scheme = new StringBuilder("(voice_cmu_us_slt_arctic_hts)\n");
    for (int i = 0; i < LINES.size(); i++) {
      scheme.append(
          """
          (set! u (utt.synth (Utterance Text "%s")))
          (utt.save.wave u "%s/%d.wav" 'riff)
          (mapcar (lambda (w) (format t "%d %%f\\n" (item.feat w "word_start")))
            (utt.relation.items u 'Word))
          """
              .formatted(LINES.get(i), folder, i, i));
    }
    String said = run(scheme.toString(), "festival", "--pipe");
    List<KnownSpeech> spoken = new ArrayList<>();
    for (int i = 0; i < LINES.size(); i++) {
      Map<Integer, Double> starts = new HashMap<>();
      for (String row : said.split("\n")) {
        if (row.startsWith(i + " ")) {
          starts.put(starts.size(), Double.parseDouble(row.substring(row.indexOf(' ') + 1)));
        }
      }
      // Festival counts the two parts of a hyphened word; such lines are left out.
      Matcher m = WORD.matcher(LINES.get(i));
      if (m.results().count() == starts.size()) {
        spoken.add(new KnownSpeech(LINES.get(i), sound(folder.resolve(i + ".wav")), starts));
      }
    }
    return spoken;
  }

  private static MonoSound sound(Path file) throws IOException {
    return SongDecoder.mono(file, Container.of(file));
  }

  private static String run(String input, String... command) throws IOException {
    Process process =
        new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.INHERIT).start();
    try (var in = process.getOutputStream()) {
      in.write(input.getBytes(StandardCharsets.UTF_8));
    }
    String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    try {
      if (process.waitFor() != 0) {
        throw new IOException(command[0] + " failed; ./test installs it.");
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IOException(e);
    }
    return said;
  }
}
