package app.latethistle.cli;

import app.latethistle.media.MediaFacts;
import app.latethistle.media.Probe;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Prints what files hold, as JSON. */
@Command(name = "probe", description = "Prints what clips, pictures and sounds hold, as JSON.")
final class ProbeCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Parameters(paramLabel = "FILE", arity = "1..*", description = "Files to look at.")
  private List<Path> files;

  @Override
  public Integer call() {
    List<Map<String, Object>> all = new ArrayList<>();
    int failed = 0;
    for (Path file : files) {
      Map<String, Object> entry = new LinkedHashMap<>();
      entry.put("file", file.toString());
      try {
        if (!Files.isRegularFile(file)) {
          throw new IOException("There is no such file.");
        }
        describe(Probe.probe(file), entry);
      } catch (IOException e) {
        entry.put("refused", e.getMessage());
        spec.commandLine().getErr().println("thistle: " + file + ": " + e.getMessage());
        failed++;
      }
      all.add(entry);
    }
    Thistle.print(spec, all);
    return failed == 0 ? 0 : 1;
  }

  private static void describe(MediaFacts facts, Map<String, Object> entry) {
    entry.put("kind", facts.kind().name().toLowerCase(java.util.Locale.ROOT));
    entry.put("codec", facts.codec());
    entry.put("frames", facts.frames());
    entry.put("seconds", Math.round(facts.seconds() * 1e6) / 1e6);
    facts.rate().ifPresent(rate -> entry.put("rate", rate.toString()));
    entry.put("variable_rate", facts.variable());
    facts
        .shape()
        .ifPresent(
            shape -> {
              entry.put("width", shape.width());
              entry.put("height", shape.height());
              entry.put("pixel_aspect", shape.pixelAspect());
              entry.put("rotation", facts.rotation());
              entry.put("colour", facts.colour());
            });
    entry.put("sound", facts.sound());
  }
}
