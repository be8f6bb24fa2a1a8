package app.latethistle.server.stored;

import app.latethistle.core.release.Preset;
import tools.jackson.databind.JsonNode;

/** Presets as texts, as they are kept and leave. */
public final class StoredPreset {
  private static final int FORMAT = 1;

  private StoredPreset() {}

  private record Form(String name, JsonNode output) {}

  public static String write(Preset preset) {
    return Json.write(
        FORMAT, new Form(preset.name(), Json.tree(StoredOutput.write(preset.output()))));
  }

  /**
   * A preset of any format.
   *
   * @throws IllegalArgumentException if it is none, with a sentence for the person
   */
  public static Preset read(String text) {
    JsonNode tree = Json.tree(text);
    Json.format(tree, FORMAT);
    Form form = Brought.needed("content", Json.as(tree, Form.class));
    return new Preset(
        form.name, StoredOutput.read(Brought.needed("output", form.output).toString()));
  }
}
