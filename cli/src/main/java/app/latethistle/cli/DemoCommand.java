package app.latethistle.cli;

import app.latethistle.standins.demo.NightPost;
import app.latethistle.standins.demo.SaltCarousel;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import java.util.function.Consumer;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** Makes the clips and songs of both demo productions again. */
@Command(name = "demo", description = "Paints the demos' clips and plays their songs to files.")
final class DemoCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Option(names = "--out", required = true, paramLabel = "DIR", description = "Where to.")
  private Path out;

  @Override
  public Integer call() throws IOException {
    PrintWriter err = spec.commandLine().getErr();
    Consumer<String> tell =
        name -> {
          err.println(name);
          err.flush();
        };
    NightPost.make(out, tell);
    SaltCarousel.make(out.resolve(SaltCarousel.FOLDER), tell);
    return 0;
  }
}
