package app.latethistle.server.stored;

import app.latethistle.core.Refused;
import com.fasterxml.jackson.annotation.JsonInclude;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What is stored as text, as a part of a larger document. */
public final class Embedded {
  /** What is not there is left out. */
  private static final JsonMapper WRITTEN =
      JsonMapper.builder()
          .changeDefaultPropertyInclusion(i -> i.withValueInclusion(JsonInclude.Include.NON_NULL))
          .build();

  private Embedded() {}

  /** A stored text as a part of a document; null for none. */
  public static JsonNode of(String text) {
    return text == null ? null : Json.tree(text);
  }

  /** A part of a document as it is stored; what is usual if there is none. */
  public static String text(JsonNode part, String usual) {
    return part == null || part.isNull() ? usual : Json.MAPPER.writeValueAsString(part);
  }

  /** A value as a part of a document. */
  public static JsonNode tree(Object value) {
    return WRITTEN.valueToTree(value);
  }

  /**
   * A part of a document as a value.
   *
   * @throws IllegalArgumentException if it is none
   */
  public static <T> T as(JsonNode part, Class<T> type) {
    try {
      return Json.as(part, type);
    } catch (JacksonException e) {
      throw new Refused("A part of the document cannot be read: " + e.getOriginalMessage());
    }
  }
}
