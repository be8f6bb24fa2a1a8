package app.latethistle.server.stored;

import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Texts with a format number. */
final class Json {
  static final JsonMapper MAPPER =
      JsonMapper.builder()
          // A later release may have written more; what this one does not know it leaves.
          .disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
          // An earlier one wrote less; a number that it did not know is 0.
          .disable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
          .build();

  private static final String FORMAT = "format";

  private Json() {}

  /** A value as text of a format. */
  static String write(int format, Object value) {
    ObjectNode node = MAPPER.createObjectNode().put(FORMAT, format);
    node.setAll((ObjectNode) MAPPER.valueToTree(value));
    return MAPPER.writeValueAsString(node);
  }

  static JsonNode tree(String text) {
    return MAPPER.readTree(text);
  }

  /**
   * The format of a text; 1 if it does not say.
   *
   * @param newest the newest that this release knows
   * @throws IllegalStateException if it is newer
   */
  static int format(JsonNode tree, int newest) {
    int format = tree.path(FORMAT).asInt(1);
    if (format > newest) {
      throw new IllegalStateException(
          "This was stored by a newer release (format "
              + format
              + "; this one reads up to "
              + newest
              + "). Start the newer release again.");
    }
    return format;
  }

  static <T> T as(JsonNode tree, Class<T> type) {
    return MAPPER.treeToValue(tree, type);
  }
}
