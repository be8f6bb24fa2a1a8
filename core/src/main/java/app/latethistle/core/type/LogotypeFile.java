package app.latethistle.core.type;

import java.awt.image.BufferedImage;
import java.io.IOException;

/**
 * A picture that stands in place of all words that are set in its family.
 *
 * @param family as it is called
 * @param source where it is
 */
public record LogotypeFile(String family, Source source) {
  /** Where a picture comes from. */
  @FunctionalInterface
  public interface Source {
    /** The picture, with what can be seen through it. */
    BufferedImage read() throws IOException;
  }
}
