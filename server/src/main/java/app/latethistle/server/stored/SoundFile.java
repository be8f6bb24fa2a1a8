package app.latethistle.server.stored;

import app.latethistle.core.Refused;
import java.util.Base64;
import java.util.List;
import java.util.Objects;
import tools.jackson.databind.JsonNode;

/**
 * A sound as it goes elsewhere.
 *
 * @param kind HIT, BED, RISER or MOVE
 * @param words it is found by beside its name
 * @param source where it comes from
 * @param rights under which it may be used
 * @param facts what was measured of it, as {@link StoredSound} writes it
 * @param file its bytes, as base64
 */
public record SoundFile(
    String name,
    String kind,
    List<String> words,
    String source,
    String rights,
    JsonNode facts,
    String file) {
  /**
   * @throws IllegalArgumentException if it has no name, kind or file
   */
  public SoundFile {
    Brought.needed("name of a sound", name);
    Brought.needed("kind of the sound “" + name + "”", kind);
    Brought.needed("file of the sound “" + name + "”", file);
    words = words == null ? List.of() : List.copyOf(words);
    source = Objects.requireNonNullElse(source, "");
    rights = Objects.requireNonNullElse(rights, "");
  }

  /**
   * Its file.
   *
   * @throws IllegalArgumentException if that is not base64
   */
  public byte[] bytes() {
    try {
      return Base64.getDecoder().decode(file);
    } catch (IllegalArgumentException e) {
      throw (Refused)
          new Refused("The file of the sound “" + name + "” is not base64.").initCause(e);
    }
  }
}
