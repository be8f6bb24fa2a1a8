package app.latethistle.media;

import app.latethistle.core.render.PictureSource;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;

/** Frames straight from original files, for masters. */
public final class Originals implements PictureSource {
  private final Map<String, Original> files;
  private final FrameRate rate;

  /** A file and what it holds. */
  public record Original(Path path, MediaFacts facts) {}

  /**
   * @param files by the SHA-256 of their bytes
   */
  public Originals(Map<String, Original> files, FrameRate rate) {
    this.files = Map.copyOf(files);
    this.rate = rate;
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
