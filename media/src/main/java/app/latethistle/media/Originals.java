package app.latethistle.media;

import app.latethistle.core.grade.GivenTable;
import app.latethistle.core.render.PictureSource;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.type.Faces;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;

/** Frames straight from original files, for masters. */
public final class Originals implements PictureSource {
  private final Map<String, Original> files;
  private final FrameRate rate;
  private final Tables tables;
  private final Faces faces;

  /** A file and what it holds. */
  public record Original(Path path, MediaFacts facts) {}

  /** For films that look nothing up. */
  public static final Tables NO_TABLES =
      file -> {
        throw new IOException("The table of colours " + file + " is not here; bring it in again.");
      };

  /** Where tables of colours come from, by the SHA-256 of their files' bytes. */
  @FunctionalInterface
  public interface Tables {
    GivenTable of(String file) throws IOException;
  }

  /**
   * @param files by the SHA-256 of their bytes
   */
  public Originals(Map<String, Original> files, FrameRate rate, Tables tables, Faces faces) {
    this.files = Map.copyOf(files);
    this.rate = rate;
    this.tables = tables;
    this.faces = faces;
  }

  @Override
  public Faces faces() {
    return faces;
  }

  @Override
  public GivenTable table(String file) throws IOException {
    return tables.of(file);
  }

  @Override
  public Reader open(String media, FrameRange frames, Optional<Wish> wish) throws IOException {
    Original original = files.get(media);
    if (original == null) {
      throw new IOException("The file " + media.substring(0, 12) + " is not in the store.");
    }
    return ClipReader.open(original.path(), original.facts(), rate, frames, wish);
  }
}
