package app.latethistle.server.stored;

import app.latethistle.core.Refused;
import java.util.function.Function;
import tools.jackson.core.JacksonException;

/** Reads documents that people bring in, and says of what is none what it was to be. */
public final class Brought {
  private Brought() {}

  /**
   * A document.
   *
   * @param what it is to be: "a preset"
   * @param text as it came; null for none
   * @throws IllegalArgumentException if it is no such document, with a sentence for the person
   */
  public static <T> T read(String what, String text, Function<String, T> reader) {
    try {
      return reader.apply(text == null ? "" : text);
    } catch (Refused e) {
      throw e;
    } catch (JacksonException e) {
      throw new Refused("This is no document of " + what + ": " + e.getOriginalMessage());
    } catch (IllegalStateException e) {
      throw new Refused(e.getMessage());
    } catch (IllegalArgumentException e) {
      throw new Refused("This is no document of " + what + ": a word in it is not known.");
    }
  }

  /**
   * A part of a document that it must have.
   *
   * @throws IllegalArgumentException if it has it not
   */
  static <T> T needed(String what, T part) {
    if (part == null) {
      throw new Refused("The document has no " + what + ".");
    }
    return part;
  }
}
