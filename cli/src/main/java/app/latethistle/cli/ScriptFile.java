package app.latethistle.cli;

import app.latethistle.core.story.Script;
import app.latethistle.core.story.ScriptFormat;
import java.io.IOException;
import java.nio.charset.CharacterCodingException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;

/** A script read from a file; its format is told by its name and first signs. */
final class ScriptFile {
  private ScriptFile() {}

  static Script read(Path file) throws IOException {
    String text;
    try {
      text = Files.readString(file);
    } catch (NoSuchFileException e) {
      throw new IOException("There is no file " + file + ".", e);
    } catch (CharacterCodingException e) {
      throw new IOException(file + " is not text in UTF-8.", e);
    }
    try {
      return Script.parse(text, ScriptFormat.guess(file.getFileName().toString(), text));
    } catch (IllegalArgumentException e) {
      throw new IOException(file + ": " + e.getMessage(), e);
    }
  }
}
