package app.latethistle.cli;

import app.latethistle.media.Container;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** A sound file named on the command line; what is wrong with it is said with its name. */
final class SoundFile {
  private SoundFile() {}

  /** A way to decode a file. */
  interface Decoder<T> {
    T decode(Path file, Container container) throws IOException;
  }

  static <T> T read(Path file, Decoder<T> decoder) throws IOException {
    if (!Files.isRegularFile(file)) {
      throw new IOException(file + ": there is no such file.");
    }
    try {
      return decoder.decode(file, Container.of(file));
    } catch (IOException e) {
      throw new IOException(file + ": " + e.getMessage(), e);
    }
  }
}
