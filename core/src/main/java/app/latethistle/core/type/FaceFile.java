package app.latethistle.core.type;

import java.io.IOException;
import java.io.InputStream;

/**
 * A file with some of a family's letters: OpenType or TrueType.
 *
 * @param family as it is called
 * @param character what it looks like, in a word or two
 * @param bold the heavier of its weights
 * @param italic its slanted letters
 * @param script the letters that are in it, such as latin or cyrillic
 * @param source where its bytes are
 */
public record FaceFile(
    String family, String character, boolean bold, boolean italic, String script, Source source) {

  /** Where a file's bytes come from. */
  @FunctionalInterface
  public interface Source {
    InputStream open() throws IOException;
  }
}
