package app.latethistle.cli;

import app.latethistle.media.SoundMeasure;
import java.io.IOException;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** How loud a file is. */
@Command(
    name = "loudness",
    description = "Measures a file's loudness, its range and true peak, as JSON.")
final class LoudnessCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Parameters(paramLabel = "FILE", description = "A sound, or a film with sound.")
  private Path file;

  @Override
  public Integer call() throws IOException {
    SoundMeasure measure = SoundFile.read(file, SoundMeasure::of);
    Map<String, Object> said = new LinkedHashMap<>();
    said.put("file", file.toString());
    said.put("integrated", finite(measure.integrated()));
    said.put("range", finite(measure.range()));
    said.put("momentaryMax", finite(measure.momentaryMax()));
    said.put("shortTermMax", finite(measure.shortTermMax()));
    said.put("truePeak", finite(measure.truePeak()));
    Thistle.print(spec, said);
    return 0;
  }

  /** Rounded to a hundredth; JSON has no word for silence, so it is null. */
  static Double finite(double value) {
    return Double.isFinite(value) ? Math.round(value * 100) / 100.0 : null;
  }
}
