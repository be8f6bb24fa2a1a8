package app.latethistle.server.material;

import app.latethistle.core.story.StoryShot;
import java.util.Map;

/** What the story of a production wants of its shots. */
public interface WantedShots {
  /** The story's shots by their ids. */
  Map<Integer, StoryShot> of(long productionId);
}
