package app.latethistle.cli;

import app.latethistle.core.check.Finding;
import app.latethistle.core.check.Verdict;
import app.latethistle.media.FileCheck;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Looks at a finished film or sound. */
@Command(
    name = "check",
    description =
        "Looks at a finished film or sound: whole, black, frozen, flashes, levels, loudness, peaks,"
            + " silence, clicks. Ends with 1 if something must be put right.")
final class CheckCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Parameters(paramLabel = "FILE", description = "The film or sound.")
  private Path file;

  @Option(names = "--json", description = "As JSON.")
  private boolean json;

  @Mixin private LoudnessOptions loudness;

  @Override
  public Integer call() throws IOException {
    if (!Files.isRegularFile(file)) {
      throw new IOException(file + ": There is no such file.");
    }
    FileCheck check = FileCheck.of(file, loudness.wanted());
    if (json) {
      Thistle.print(spec, asJson(check));
    } else {
      PrintWriter out = spec.commandLine().getOut();
      for (Verdict verdict : Verdict.values()) {
        check.findings().stream()
            .filter(f -> f.verdict() == verdict)
            .forEach(f -> out.println(line(f)));
      }
    }
    return check.passes() ? 0 : 1;
  }

  private static String line(Finding f) {
    String at = f.at().map(range -> "from frame " + range.start() + ": ").orElse("");
    return String.format(
        Locale.ROOT, "%-5s %-9s %s%s", name(f.verdict()), name(f.check()), at, f.said());
  }

  private static List<Map<String, Object>> asJson(FileCheck check) {
    List<Map<String, Object>> all = new ArrayList<>();
    for (Finding f : check.findings()) {
      Map<String, Object> one = new LinkedHashMap<>();
      one.put("check", name(f.check()));
      one.put("verdict", name(f.verdict()));
      f.at()
          .ifPresent(
              range -> {
                one.put("from", range.start());
                one.put("to", range.end());
              });
      one.put("said", f.said());
      all.add(one);
    }
    return all;
  }

  private static String name(Enum<?> value) {
    return value.name().toLowerCase(Locale.ROOT);
  }
}
