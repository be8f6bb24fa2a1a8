package app.latethistle.server.story;

import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.pack.Arrivals;
import app.latethistle.server.pack.PackedPart;
import app.latethistle.server.production.Production;
import app.latethistle.server.stored.Embedded;
import app.latethistle.server.stored.StoredStory;
import java.util.Set;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/** A production's story as it is. */
@ServerOnly
@Component
@Order(PackedStory.AFTER_SHOTS)
class PackedStory implements PackedPart {
  static final int AFTER_SHOTS = 2;

  private final StoryService stories;

  PackedStory(StoryService stories) {
    this.stories = stories;
  }

  @Override
  public String name() {
    return "story";
  }

  @Override
  public Object pack(Production production, Set<String> files) {
    return Embedded.of(StoredStory.write(stories.state(production.id()).story()));
  }

  @Override
  public void unpack(Production made, JsonNode part, Arrivals arrivals) {
    stories.change(
        made.id(), -1, "bring the story in", none -> StoredStory.read(Embedded.text(part, "{}")));
  }
}
