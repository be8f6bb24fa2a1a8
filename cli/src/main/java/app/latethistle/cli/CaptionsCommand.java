package app.latethistle.cli;

import app.latethistle.core.Refused;
import app.latethistle.core.caption.Caption;
import app.latethistle.core.caption.CaptionRules;
import app.latethistle.core.caption.Captioner;
import app.latethistle.core.caption.Retimed;
import app.latethistle.core.caption.SpokenLine;
import app.latethistle.core.film.Narration.Word;
import app.latethistle.core.interchange.CaptionFormat;
import app.latethistle.core.interchange.CaptionLook;
import app.latethistle.core.interchange.CaptionText;
import app.latethistle.core.interchange.TimedText;
import app.latethistle.core.look.Shape;
import app.latethistle.core.story.Csv;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.SampleRange;
import app.latethistle.core.time.Samples;
import app.latethistle.core.words.WordBreaks;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** Captions what was spoken. */
@Command(
    name = "captions",
    description = "Breaks spoken words into captions and writes them as a file.")
final class CaptionsCommand implements Callable<Integer> {
  /** A rest after which a line begins where no script says so. */
  private static final long REST = Samples.ofSeconds(0.6);

  private static final int LOWER = 95;

  @Spec private CommandSpec spec;

  @Option(
      names = "--words",
      required = true,
      paramLabel = "FILE.csv",
      description = "Columns word,start_s,end_s, as thistle align --csv prints them.")
  private Path words;

  @Option(
      names = "--script",
      paramLabel = "FILE",
      description = "What is to be read, a line of the narration in each line.")
  private Path script;

  @Option(names = "--lang", defaultValue = "en", paramLabel = "L", description = "As in BCP 47.")
  private String language;

  @Option(
      names = "--shape",
      defaultValue = "16:9",
      paramLabel = "A:D",
      description = "Of the film.")
  private String shape;

  @Option(names = "--rate", defaultValue = "24", paramLabel = "R", description = "Frames a second.")
  private String rate;

  @Option(names = "--format", required = true, paramLabel = "F", description = "srt, vtt or ttml.")
  private String format;

  @Option(names = "--out", required = true, paramLabel = "FILE", description = "The captions.")
  private Path out;

  @Override
  public Integer call() throws IOException {
    CaptionFormat form = CaptionFormat.of(format);
    FrameRate frames = FrameRate.parse(rate);
    CaptionRules rules = CaptionRules.USUAL.in(shape());
    List<Word> spoken = spoken();
    List<SpokenLine> lines = script == null ? apart(spoken) : scripted(spoken);
    List<Caption> captions = new Captioner(rules, frames).twoLines(lines, List.of());
    List<TimedText> timed = captions.stream().map(c -> TimedText.of(c, frames)).toList();
    Files.writeString(out, CaptionText.write(form, timed, CaptionLook.plain(language, LOWER)));
    spec.commandLine().getErr().printf("%s: %d captions%n", out, captions.size());
    for (int i = 0; i < captions.size(); i++) {
      Caption c = captions.get(i);
      if (!c.faults().isEmpty()) {
        String faults =
            c.faults().stream()
                .sorted()
                .map(f -> f.name().toLowerCase(Locale.ROOT).replace('_', ' '))
                .collect(Collectors.joining(", "));
        spec.commandLine()
            .getErr()
            .printf(
                Locale.ROOT,
                "caption %d: %s (%.1f letters a second)%n",
                i + 1,
                faults,
                c.perSecond(frames));
      }
    }
    return 0;
  }

  private Shape shape() {
    String[] sides = shape.split(":", -1);
    try {
      if (sides.length == 2) {
        return Shape.of(Integer.parseInt(sides[0]), Integer.parseInt(sides[1]));
      }
    } catch (NumberFormatException e) {
      // Said below.
    }
    throw new Refused("--shape " + shape + ": write it like 16:9 or 9:16.");
  }

  private List<Word> spoken() throws IOException {
    List<Word> all = new ArrayList<>();
    List<List<String>> rows = Csv.read(TextFile.read(words));
    for (int i = 0; i < rows.size(); i++) {
      List<String> row = rows.get(i);
      boolean head = i == 0 && row.size() > 1 && row.get(1).equals("start_s");
      if (!head) {
        all.add(word(row, i + 1));
      }
    }
    if (all.isEmpty()) {
      throw new IOException(words + " has no words; print them with thistle align --csv.");
    }
    return all;
  }

  private Word word(List<String> row, int number) throws IOException {
    try {
      long start = Samples.ofSeconds(Double.parseDouble(row.get(1)));
      long end = Samples.ofSeconds(Double.parseDouble(row.get(2)));
      if (start >= 0 && end >= start) {
        return new Word(row.get(0), new SampleRange(start, end));
      }
    } catch (NumberFormatException | IndexOutOfBoundsException e) {
      // Said below.
    }
    throw new IOException(
        words
            + ", row "
            + number
            + ": write a word, and its start and end in seconds, such as"
            + " lake,1.250,1.610.");
  }

  /** Lines that begin after a rest. */
  private static List<SpokenLine> apart(List<Word> spoken) {
    List<SpokenLine> lines = new ArrayList<>();
    int from = 0;
    for (int i = 1; i <= spoken.size(); i++) {
      boolean rest =
          i == spoken.size() || spoken.get(i).at().start() - spoken.get(i - 1).at().end() >= REST;
      if (rest) {
        lines.add(SpokenLine.of(Integer.toString(lines.size() + 1), spoken.subList(from, i)));
        from = i;
      }
    }
    return lines;
  }

  /** The script's lines, with the times of the words. */
  private List<SpokenLine> scripted(List<Word> spoken) throws IOException {
    List<String> written = TextFile.read(script).lines().filter(line -> !line.isBlank()).toList();
    List<Word> timed = Retimed.words(String.join(" ", written), spoken);
    List<SpokenLine> lines = new ArrayList<>();
    int from = 0;
    for (String line : written) {
      int count = WordBreaks.of(line).size();
      lines.add(
          SpokenLine.of(Integer.toString(lines.size() + 1), timed.subList(from, from + count)));
      from += count;
    }
    return lines;
  }
}
