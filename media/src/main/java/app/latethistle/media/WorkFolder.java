package app.latethistle.media;

import java.io.Closeable;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.stream.Stream;

/**
 * A folder for what is made on the way; it is gone with all that is in it when it is closed.
 *
 * @param path of it
 */
public record WorkFolder(Path path) implements Closeable {
  /** Makes one. */
  public static WorkFolder make() throws IOException {
    return new WorkFolder(Files.createTempDirectory("thistle-"));
  }

  @Override
  public void close() throws IOException {
    try (Stream<Path> left = Files.walk(path)) {
      left.sorted(Comparator.reverseOrder()).forEach(file -> file.toFile().delete());
    }
  }
}
