package app.latethistle.server.story;

import app.latethistle.server.history.Undoable;
import app.latethistle.server.stored.Deed;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** How changes of stories are taken back. */
@Configuration
class StorySteps {
  @Bean
  Undoable<Deed.StoryChanged> storyChanged(StoryService stories) {
    return new Undoable<>(
        Deed.StoryChanged.class,
        (production, deed) -> stories.step(production, -1),
        (production, deed) -> stories.step(production, 1));
  }
}
