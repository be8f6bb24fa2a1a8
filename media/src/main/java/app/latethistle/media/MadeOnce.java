package app.latethistle.media;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Files that are made when they are first wanted, by one who wants them; others wait for it. Safe
 * for several threads.
 */
public final class MadeOnce {
  private final Map<Path, Object> locks = new ConcurrentHashMap<>();

  /** Makes a file. */
  @FunctionalInterface
  public interface Making {
    /** Makes it whole or not at all. */
    void make(Path file) throws IOException;
  }

  /**
   * A file, made now if it is not there.
   *
   * @return the same file
   * @throws IOException what making it threw; it is tried again when it is next wanted
   */
  public Path get(Path file, Making making) throws IOException {
    synchronized (locks.computeIfAbsent(file, key -> new Object())) {
      if (Files.exists(file)) {
        ContentStore.used(file);
      } else {
        making.make(file);
      }
    }
    locks.remove(file);
    return file;
  }
}
