package app.latethistle.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import tools.jackson.databind.JsonNode;

/** Brings a packed production into a running server. */
@Command(name = "unpack", description = "Brings a packed production into a running server.")
final class UnpackCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Parameters(paramLabel = "FILE.zip", description = "The packed production.")
  private Path zip;

  @Mixin private RunningServer server;

  @Override
  public Integer call() throws IOException {
    JsonNode made = server.send("/api/productions/packed", zip);
    spec.commandLine()
        .getOut()
        .printf(
            "%s is on the shelf: %s/productions/%d%n",
            made.get("title").asString(), server.address(), made.get("id").asLong());
    return 0;
  }
}
