package app.latethistle.media;

import app.latethistle.core.signal.MonoSound;
import app.latethistle.core.voice.Recogniser;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * PocketSphinx, a recogniser with a model trained on many American voices, run as a program of its
 * own. It is given a grammar of the words one after the other, each of which may be left out at a
 * price, and tells where it hears each.
 */
public final class TrainedRecogniser implements Recogniser {
  private static final Path MODEL = Path.of("/usr/share/pocketsphinx/model/en-us");
  private static final int RATE = 16_000;
  private static final int LIMIT_SECONDS = 120;

  /** Its unit: a logarithm to the base of 1.0001, shifted by ten bits. */
  private static final double NATS = Math.log(1.0001) * 1024;

  /** How likely it is that a reader leaves a word out, as far as the path is concerned. */
  private static final String LEFT_OUT = "1e-20";

  /** So wide that a word that is not there is still forced through. */
  private static final List<String> BEAMS =
      List.of("-beam", "1e-80", "-pbeam", "1e-80", "-wbeam", "1e-60");

  /** What lies in the folder of a run. */
  private static final List<String> FILES =
      List.of("reading.f32", "reading.raw", "words.dict", "words.fsg", "readings", "heard");

  private static final Pattern WORD = Pattern.compile("w(\\d+)(?:\\(\\d+\\))?");

  @Override
  public List<Heard> hear(MonoSound reading, List<String> words) throws IOException {
    List<List<String>> spoken = Pronunciations.of(words, MODEL.resolve("cmudict-en-us.dict"));
    if (spoken.stream().anyMatch(List::isEmpty)) {
      return List.of();
    }
    Path folder = Files.createTempDirectory("reading");
    try {
      writeSound(reading, folder.resolve("reading.raw"));
      Files.write(folder.resolve("words.dict"), dictionary(spoken));
      Files.write(folder.resolve("words.fsg"), grammar(words.size()));
      Files.writeString(folder.resolve("readings"), "reading\n");
      List<String> command = new ArrayList<>(List.of("pocketsphinx_batch"));
      command.addAll(List.of("-hmm", MODEL.resolve("en-us").toString()));
      command.addAll(List.of("-dict", folder.resolve("words.dict").toString()));
      command.addAll(List.of("-fsg", folder.resolve("words.fsg").toString()));
      command.addAll(List.of("-ctl", folder.resolve("readings").toString()));
      command.addAll(List.of("-cepdir", folder.toString(), "-cepext", ".raw", "-adcin", "yes"));
      command.addAll(List.of("-hypseg", folder.resolve("heard").toString()));
      command.addAll(List.of("-logfn", "/dev/null"));
      command.addAll(BEAMS);
      Child.output(command, LIMIT_SECONDS);
      return heard(Files.readString(folder.resolve("heard")), words.size());
    } finally {
      for (String name : FILES) {
        Files.deleteIfExists(folder.resolve(name));
      }
      Files.delete(folder);
    }
  }

  /** The sound as the model wants it: 16,000 samples a second of 16 bits. */
  private static void writeSound(MonoSound reading, Path to) throws IOException {
    Path whole = to.resolveSibling("reading.f32");
    ByteBuffer bytes =
        ByteBuffer.allocate(4 * reading.samples().length).order(ByteOrder.LITTLE_ENDIAN);
    bytes.asFloatBuffer().put(reading.samples());
    Files.write(whole, bytes.array());
    List<String> command = new ArrayList<>(List.of("ffmpeg", "-v", "error", "-y"));
    command.addAll(List.of("-f", "f32le", "-ar", Integer.toString(reading.rate()), "-ac", "1"));
    command.addAll(List.of("-i", whole.toString(), "-ar", Integer.toString(RATE)));
    command.addAll(List.of("-f", "s16le", to.toString()));
    Child.output(command, LIMIT_SECONDS);
  }

  private static List<String> dictionary(List<List<String>> spoken) {
    List<String> lines = new ArrayList<>();
    for (int w = 0; w < spoken.size(); w++) {
      List<String> ways = spoken.get(w);
      for (int k = 0; k < ways.size(); k++) {
        lines.add("w" + w + (k == 0 ? "" : "(" + (k + 1) + ")") + " " + ways.get(k));
      }
    }
    return lines;
  }

  private static List<String> grammar(int words) {
    List<String> lines = new ArrayList<>();
    lines.add("FSG_BEGIN reading");
    lines.add("NUM_STATES " + (words + 1));
    lines.add("START_STATE 0");
    lines.add("FINAL_STATE " + words);
    for (int w = 0; w < words; w++) {
      lines.add("TRANSITION " + w + " " + (w + 1) + " 1.0 w" + w);
      lines.add("TRANSITION " + w + " " + (w + 1) + " " + LEFT_OUT);
    }
    lines.add("FSG_END");
    return lines;
  }

  /**
   * Reads what it heard: a head up to "L" and its number, then for each stretch where it begins,
   * its likelihood, that of the grammar and the word, and at last where all ends.
   */
  private static List<Heard> heard(String line, int words) throws IOException {
    String[] parts = line.strip().split("\\s+");
    int at = List.of(parts).indexOf("L") + 2;
    if (at < 2) {
      return List.of();
    }
    List<Heard> heard = new ArrayList<>(Collections.nCopies(words, new Heard(0, 0, 0)));
    try {
      for (; at + 4 < parts.length; at += 4) {
        Matcher word = WORD.matcher(parts[at + 3]);
        if (word.matches()) {
          double start = Integer.parseInt(parts[at]) * FRAME_SECONDS;
          double end = Integer.parseInt(parts[at + 4]) * FRAME_SECONDS;
          double likelihood = Math.min(0, Integer.parseInt(parts[at + 1]) * NATS);
          heard.set(Integer.parseInt(word.group(1)), new Heard(start, end, likelihood));
        }
      }
    } catch (NumberFormatException e) {
      throw new IOException("The recogniser answered in a way that is not known: " + line, e);
    }
    return heard;
  }
}
