package app.latethistle.server.story;

import app.latethistle.core.story.ShotList;
import app.latethistle.core.story.StoryShot;
import app.latethistle.core.take.Gathering;
import app.latethistle.server.material.Shot;
import app.latethistle.server.material.Shots;
import app.latethistle.server.material.Takes;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;

/**
 * Keeps one shot of the material for each shot of the story: takes gather under the former, and
 * follow it when the latter gets another number.
 */
@Component
class StoryShots {
  private final Shots shots;
  private final Takes takes;

  StoryShots(Shots shots, Takes takes) {
    this.shots = shots;
    this.takes = takes;
  }

  /**
   * Matches by the story's own mark, else by number. A shot that left the story goes if it has no
   * takes, and else stays with them.
   */
  void match(long productionId, ShotList story) {
    List<Shot> all = shots.findByProductionIdOrderById(productionId);
    Map<Integer, Shot> known = new HashMap<>();
    all.stream().filter(s -> s.storyShot() != null).forEach(s -> known.put(s.storyShot(), s));
    Set<Long> used = new HashSet<>();
    for (StoryShot wanted : story.shots()) {
      Gathering.ShotKey key = Gathering.ShotKey.of(wanted.number());
      Shot shot =
          Optional.ofNullable(known.get(wanted.id()))
              .or(() -> free(all, key))
              .orElseGet(() -> new Shot(productionId, key, ""));
      shot.follow(wanted.id(), key, title(wanted));
      used.add(shots.save(shot).id());
    }
    for (Shot shot : all) {
      if (shot.storyShot() != null && !used.contains(shot.id())) {
        if (takes.findByShotIdOrderByNumberAscIdAsc(shot.id()).isEmpty()) {
          shots.delete(shot);
        } else {
          shot.leaveStory();
        }
      }
    }
    shots.flush();
  }

  private static Optional<Shot> free(List<Shot> all, Gathering.ShotKey key) {
    return all.stream().filter(s -> s.storyShot() == null && s.key().equals(key)).findFirst();
  }

  private static String title(StoryShot shot) {
    String seen = shot.seen().strip();
    return seen.length() <= 300 ? seen : seen.substring(0, 300);
  }
}
