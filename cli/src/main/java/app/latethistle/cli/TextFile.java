package app.latethistle.cli;

import java.io.IOException;
import java.nio.charset.CharacterCodingException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;

/** A text read from a file. */
final class TextFile {
  private TextFile() {}

  /**
   * The file's text.
   *
   * @throws IOException if it is not there, or not in UTF-8, naming it
   */
  static String read(Path file) throws IOException {
    try {
      return Files.readString(file);
    } catch (NoSuchFileException e) {
      throw new IOException(file + ": there is no such file.", e);
    } catch (CharacterCodingException e) {
      throw new IOException(file + " is not text in UTF-8.", e);
    }
  }
}
