package app.latethistle.server.story;

import app.latethistle.core.story.Story;
import tools.jackson.databind.json.JsonMapper;

/** Stories to and from their stored text. */
final class StoryJson {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  private StoryJson() {}

  static String write(Story story) {
    return JSON.writeValueAsString(story);
  }

  static Story read(String text) {
    return JSON.readValue(text, Story.class);
  }
}
