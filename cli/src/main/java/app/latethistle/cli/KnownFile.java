package app.latethistle.cli;

import app.latethistle.media.MediaFacts;
import app.latethistle.media.Probe;
import app.latethistle.media.RefusedMedia;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/**
 * A file that is looked into before it is worked on; what is wrong with it is told with its name.
 */
final class KnownFile {
  private KnownFile() {}

  /** Something that is worked out from a file. */
  @FunctionalInterface
  interface Working<T> {
    T on(MediaFacts facts) throws IOException;
  }

  /**
   * Works something out from a file.
   *
   * @throws IOException if there is none, or it is refused
   */
  static <T> T with(Path file, Working<T> working) throws IOException {
    if (!Files.isRegularFile(file)) {
      throw new IOException("There is no file " + file + ".");
    }
    try {
      return working.on(Probe.probe(file));
    } catch (RefusedMedia e) {
      throw new IOException(file + ": " + e.getMessage(), e);
    }
  }
}
