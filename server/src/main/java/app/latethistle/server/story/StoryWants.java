package app.latethistle.server.story;

import app.latethistle.core.story.StoryShot;
import app.latethistle.server.material.WantedShots;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Tells the Takes room what the story wants. */
@Component
class StoryWants implements WantedShots {
  private final StoryService stories;

  StoryWants(StoryService stories) {
    this.stories = stories;
  }

  @Override
  public Map<Integer, StoryShot> of(long productionId) {
    return stories.state(productionId).story().shots().shots().stream()
        .collect(Collectors.toMap(StoryShot::id, s -> s));
  }
}
