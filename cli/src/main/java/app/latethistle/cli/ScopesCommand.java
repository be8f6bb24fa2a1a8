package app.latethistle.cli;

import app.latethistle.core.grade.Counts;
import app.latethistle.core.grade.Scopes;
import app.latethistle.core.render.PictureSource;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import app.latethistle.media.ClipReader;
import app.latethistle.media.MediaFacts;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** What an engineer's scopes show of a picture. */
@Command(
    name = "scopes",
    description = "Counts the levels of a picture: what lies beyond broadcast range, histograms.")
final class ScopesCommand implements Callable<Integer> {
  /** Pictures are found to a hundredth of a second. */
  private static final FrameRate FINE = FrameRate.of(100, 1);

  @Spec private CommandSpec spec;

  @Parameters(paramLabel = "FILE", description = "A clip or a still.")
  private Path file;

  @Option(
      names = "--at",
      paramLabel = "SECONDS",
      defaultValue = "0",
      description = "Where in a clip; its beginning if not given.")
  private double at;

  @Option(
      names = "--json",
      description = "All counts: levels are codes of 8 bits, 16 black and 235 white.")
  private boolean json;

  @Override
  public Integer call() throws IOException {
    if (!(at >= 0 && at < 1e6)) {
      throw new ParameterException(spec.commandLine(), "--at: seconds from 0 on, not " + at + ".");
    }
    Scopes scopes = KnownFile.with(file, this::read);
    if (json) {
      Thistle.print(spec, said(scopes));
    } else {
      Scopes.Beyond beyond = scopes.beyond();
      spec.commandLine()
          .getOut()
          .printf(
              Locale.ROOT,
              "below black %.2f %%, above white %.2f %%, colours beyond 5 %% %.2f %%%n",
              100 * beyond.below(),
              100 * beyond.above(),
              100 * beyond.outside());
    }
    return 0;
  }

  private Scopes read(MediaFacts facts) throws IOException {
    long frame = Math.round(at * FINE.perSecond());
    try (PictureSource.Reader reader =
        ClipReader.open(file, facts, FINE, new FrameRange(frame, frame + 1))) {
      return Scopes.of(reader.next());
    }
  }

  private Map<String, Object> said(Scopes scopes) {
    Map<String, Object> said = new LinkedHashMap<>();
    said.put("file", file.toString());
    said.put("at", at);
    said.put("beyond", scopes.beyond());
    Map<String, Object> histograms = new LinkedHashMap<>();
    histograms.put("luma", Scopes.histogram(scopes.luma()));
    histograms.put("red", Scopes.histogram(scopes.red()));
    histograms.put("green", Scopes.histogram(scopes.green()));
    histograms.put("blue", Scopes.histogram(scopes.blue()));
    said.put("histograms", histograms);
    said.put("waveform", cells(scopes.luma()));
    said.put("vectors", cells(scopes.vectors()));
    return said;
  }

  /** Cells that are not empty: column, level (or Cb, Cr), how many. */
  private static List<List<Integer>> cells(Counts counts) {
    List<List<Integer>> cells = new ArrayList<>();
    for (int x = 0; x < counts.width(); x++) {
      for (int y = 0; y < counts.height(); y++) {
        if (counts.at(x, y) > 0) {
          cells.add(List.of(x, y, counts.at(x, y)));
        }
      }
    }
    return cells;
  }
}
