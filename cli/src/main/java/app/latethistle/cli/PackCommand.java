package app.latethistle.cli;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Packs a production of a running server. */
@Command(name = "pack", description = "Writes a production of a running server as one zip.")
final class PackCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Parameters(paramLabel = "TITLE", description = "The production's title.")
  private String title;

  @Option(names = "--out", paramLabel = "FILE.zip", required = true, description = "The zip.")
  private Path out;

  @Option(
      names = "--without-media",
      description = "Only what the production says; its files stay behind.")
  private boolean withoutMedia;

  @Mixin private RunningServer server;

  @Override
  public Integer call() throws IOException {
    long id = server.production(title);
    Path part = out.resolveSibling(out.getFileName() + ".part");
    try {
      server.save("/api/productions/" + id + "/production.zip?media=" + !withoutMedia, part);
      Files.move(part, out, StandardCopyOption.REPLACE_EXISTING);
    } finally {
      Files.deleteIfExists(part);
    }
    spec.commandLine().getErr().printf("%s: %.1f MB%n", out, Files.size(out) / 1e6);
    return 0;
  }
}
