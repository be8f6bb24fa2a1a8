package app.latethistle.cli;

import app.latethistle.core.film.Narration;
import app.latethistle.core.film.VoiceClock;
import app.latethistle.core.mix.Course;
import app.latethistle.core.mix.Ducking;
import app.latethistle.core.mix.LevelLine;
import app.latethistle.core.mix.Part;
import app.latethistle.core.signal.Loudness;
import app.latethistle.core.signal.MonoSound;
import app.latethistle.core.sound.Bus;
import app.latethistle.core.sound.DuckingRule;
import app.latethistle.core.story.Delivery;
import app.latethistle.core.story.SpokenLine;
import app.latethistle.core.take.NaturalOrder;
import app.latethistle.core.time.SampleRange;
import app.latethistle.core.voice.SpokenWord;
import app.latethistle.media.SongDecoder;
import app.latethistle.media.WordFinder;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.LongUnaryOperator;
import java.util.stream.Stream;

/**
 * A folder of readings, one of each line of a script, in the order of their names. The first line
 * begins on the first bar, the others follow with the usual gap.
 *
 * @param narration the lines as they are read
 * @param readings the file of each
 * @param loudness of each, in LUFS
 */
record VoiceFolder(Narration narration, List<Path> readings, List<Double> loudness) {
  /** No voice. */
  static final VoiceFolder SILENT = new VoiceFolder(Narration.EMPTY, List.of(), List.of());

  /**
   * Reads it.
   *
   * @throws IOException if there are not as many readings as lines, or one cannot be heard
   */
  static VoiceFolder read(Path folder, Path script) throws IOException {
    List<SpokenLine> lines = ScriptFile.read(script).lines();
    List<Path> files = files(folder);
    if (files.size() != lines.size()) {
      throw new IOException(
          folder
              + " holds "
              + files.size()
              + " readings, and "
              + script
              + " has "
              + lines.size()
              + " lines; give one reading for each line.");
    }
    List<Narration.Line> read = new ArrayList<>();
    List<Double> loudness = new ArrayList<>();
    for (int i = 0; i < files.size(); i++) {
      MonoSound sound = SoundFile.read(files.get(i), SongDecoder::reading);
      read.add(line(i, files.get(i), lines.get(i), sound.samples().length));
      loudness.add(Loudness.ofMono(sound.samples()));
    }
    return new VoiceFolder(new Narration(read), files, loudness);
  }

  private static Narration.Line line(int index, Path file, SpokenLine line, long length)
      throws IOException {
    List<Narration.Word> words = new ArrayList<>();
    MonoSound heard = SoundFile.read(file, SongDecoder::mono);
    try {
      for (SpokenWord word : WordFinder.find(heard, line.text()).words()) {
        words.add(new Narration.Word(word.text(), new SampleRange(word.start(), word.end())));
      }
    } catch (IllegalArgumentException e) {
      throw new IOException(file + ": " + e.getMessage(), e);
    }
    Narration.Start start =
        index == 0 ? new Narration.Start.OnBar(1) : new Narration.Start.After(Delivery.USUAL_GAP);
    return new Narration.Line(
        Integer.toString(line.number()),
        line.number(),
        line.text(),
        words,
        length,
        start,
        line.speaker());
  }

  private static List<Path> files(Path folder) throws IOException {
    if (!Files.isDirectory(folder)) {
      throw new IOException(folder + ": there is no such folder.");
    }
    try (Stream<Path> files = Files.list(folder)) {
      return files
          .filter(Files::isRegularFile)
          .sorted((a, b) -> NaturalOrder.INSTANCE.compare(name(a), name(b)))
          .toList();
    }
  }

  private static String name(Path file) {
    return file.getFileName().toString();
  }

  /** What is heard of it where a film has placed it; media are paths. */
  List<Part> parts(VoiceClock placed) {
    List<Part> parts = new ArrayList<>();
    for (int i = 0; i < readings.size(); i++) {
      parts.add(
          new Part(
              Bus.VOICE,
              readings.get(i).toString(),
              placed.lines().get(i).at(),
              new Course.Tightened(List.of()),
              Part.voiceGain(loudness.get(i))));
    }
    return parts;
  }

  /** How music steps aside for lines: by as much as they are to stand over it, whatever it is. */
  static LevelLine lid(List<Part> voice) {
    DuckingRule rule = DuckingRule.USUAL;
    List<Ducking.Need> needs =
        voice.stream().map(p -> new Ducking.Need(p.media(), p.at(), -rule.over())).toList();
    return Ducking.of(rule, Map.of(), needs, LongUnaryOperator.identity()).lid();
  }
}
