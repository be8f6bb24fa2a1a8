package app.latethistle.server.material;

import app.latethistle.core.measure.TakeFacts;
import app.latethistle.media.MediaFacts;
import tools.jackson.databind.json.JsonMapper;

/** Facts and beat grids to and from their stored text. */
final class FactsJson {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  private FactsJson() {}

  static String write(MediaFacts facts) {
    return JSON.writeValueAsString(facts);
  }

  static MediaFacts read(String text) {
    return JSON.readValue(text, MediaFacts.class);
  }

  static String writeMeasured(TakeFacts facts) {
    return JSON.writeValueAsString(facts);
  }

  static TakeFacts readMeasured(String text) {
    return JSON.readValue(text, TakeFacts.class);
  }
}
