package app.latethistle.cli;

import app.latethistle.core.story.Csv;
import app.latethistle.core.story.Delivery;
import app.latethistle.core.story.Script;
import app.latethistle.core.story.ShotList;
import app.latethistle.core.story.ShotProposal;
import app.latethistle.core.story.StoryShot;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Proposes shots for a script. */
@Command(name = "shots", description = "Proposes numbered shots for a script.")
final class ShotsCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Parameters(paramLabel = "SCRIPT", description = "Text, Markdown, Fountain or CSV.")
  private Path script;

  @Option(names = "--count", paramLabel = "N", description = "How many shots; 0: as it comes.")
  private int count;

  @Option(names = "--words-per-minute", paramLabel = "W", description = "30 to 300.")
  private double wordsPerMinute = Delivery.USUAL.get(0).middle();

  @Option(names = "--csv", description = "Writes CSV instead of lines to read.")
  private boolean csv;

  @Override
  public Integer call() throws IOException {
    Script read = ScriptFile.read(script);
    ShotList shots;
    try {
      shots = ShotProposal.of(read, Delivery.of(wordsPerMinute), List.of(), count);
    } catch (IllegalArgumentException e) {
      throw new IOException(e.getMessage(), e);
    }
    PrintWriter out = spec.commandLine().getOut();
    if (csv) {
      out.print(
          Csv.write(
              List.of("number", "seconds", "move", "line", "where", "who", "sounds", "seen")));
    }
    for (StoryShot s : shots.shots()) {
      String seconds = String.format(Locale.ROOT, "%.1f", s.seconds());
      if (csv) {
        out.print(
            Csv.write(
                List.of(
                    s.number(),
                    seconds,
                    s.move().label(),
                    s.line() == 0 ? "" : Integer.toString(s.line()),
                    s.where(),
                    String.join("; ", s.who()),
                    String.join("; ", s.sounds()),
                    s.seen())));
      } else {
        out.printf(
            Locale.ROOT, "%s %5s s  %-10s %s%n", s.number(), seconds, s.move().label(), s.seen());
      }
    }
    out.flush();
    spec.commandLine()
        .getErr()
        .printf(Locale.ROOT, "%d shots, %.1f s%n", shots.shots().size(), shots.seconds());
    return 0;
  }
}
