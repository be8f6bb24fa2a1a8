package app.latethistle.media.beats;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Function;

/** Files that programs make for the pieces, each made once. */
final class Made {
  private static final Path FOLDER = Path.of("target", "pieces");

  private Made() {}

  /** A file of a name; {@code command} makes it where it is told to. */
  static Path once(String name, Function<Path, List<String>> command) throws IOException {
    Files.createDirectories(FOLDER);
    Path made = FOLDER.resolve(name);
    if (!Files.exists(made)) {
      Path part = FOLDER.resolve("part-" + name);
      run(command.apply(part));
      Files.move(part, made);
    }
    return made;
  }

  private static void run(List<String> command) throws IOException {
    Process process =
        new ProcessBuilder(command)
            .redirectErrorStream(true)
            .redirectOutput(ProcessBuilder.Redirect.DISCARD)
            .start();
    try {
      if (process.waitFor() != 0) {
        throw new IOException(String.join(" ", command) + " failed");
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IOException("Interrupted in " + command.get(0), e);
    }
  }
}
