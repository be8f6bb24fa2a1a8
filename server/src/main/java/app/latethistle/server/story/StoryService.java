package app.latethistle.server.story;

import app.latethistle.core.story.Story;
import app.latethistle.server.config.StaleRevision;
import app.latethistle.server.history.History;
import app.latethistle.server.jobs.Job;
import app.latethistle.server.jobs.Jobs;
import app.latethistle.server.production.Production;
import app.latethistle.server.production.Productions;
import app.latethistle.server.stored.Deed;
import app.latethistle.server.stored.StoredStory;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Loads stories and changes them, one change at a time. */
@Service
public class StoryService {
  /** The name of changes that go on while a person types; those close together are one. */
  static final String WRITE = "write the script";

  private static final Duration CLOSE = Duration.ofSeconds(12);

  /** As many as can be taken back, and the one before them. */
  private static final int KEPT = History.KEPT + 1;

  private final Productions productions;
  private final StoryRows rows;
  private final StoryVersions versions;
  private final StoryShots shots;
  private final History history;
  private final Jobs jobs;
  private final Job holdPlaces;

  StoryService(
      Productions productions,
      StoryRows rows,
      StoryVersions versions,
      StoryShots shots,
      History history,
      Jobs jobs,
      @Qualifier("hold-places") Job holdPlaces) {
    this.productions = productions;
    this.rows = rows;
    this.versions = versions;
    this.shots = shots;
    this.history = history;
    this.jobs = jobs;
    this.holdPlaces = holdPlaces;
  }

  /** A story as it is. */
  public record State(Production production, Story story, long revision) {}

  /** The story of a production; an empty one if nobody has written it. */
  @Transactional(readOnly = true)
  public State state(long productionId) {
    Production production = productions.get(productionId);
    Optional<StoryRow> row = rows.findById(productionId);
    return new State(
        production,
        versions
            .findByProductionIdAndPlace(productionId, row.map(StoryRow::done).orElse(0))
            .map(v -> StoredStory.read(v.body()))
            .orElseGet(() -> empty(production)),
        row.map(StoryRow::revision).orElse(0L));
  }

  private static Story empty(Production production) {
    return Story.empty(production.targetSeconds());
  }

  /**
   * Changes the story.
   *
   * @param revision the one the person saw, or below 0 for whatever there is
   * @param name what the change is called
   * @throws StaleRevision if the story has changed since
   */
  @Transactional
  public State change(long productionId, long revision, String name, UnaryOperator<Story> change) {
    productions.getLocked(productionId);
    StoryRow row = lockedRow(productionId, revision);
    Story before = state(productionId).story();
    Story after = change.apply(before);
    if (after.equals(before)) {
      return state(productionId);
    }
    versions.forgetAfter(productionId, row.done());
    Optional<StoryVersion> last = versions.findByProductionIdAndPlace(productionId, row.done());
    boolean goesOn =
        name.equals(WRITE)
            && last.isPresent()
            && last.get().madeAt().isAfter(Instant.now().minus(CLOSE))
            && history.goesOnFrom(productionId, WRITE);
    if (goesOn) {
      last.get().goOn(StoredStory.write(after));
      row.goTo(row.done());
    } else {
      int place = row.done() + 1;
      versions.save(new StoryVersion(productionId, place, name, StoredStory.write(after)));
      versions.forgetUpTo(productionId, place - KEPT);
      row.goTo(place);
      history.did(productionId, name, new Deed.StoryChanged());
    }
    return written(productionId);
  }

  /** Takes the last change back, or makes again what was taken back. */
  void step(long productionId, int by) {
    productions.getLocked(productionId);
    StoryRow row = lockedRow(productionId, -1);
    row.goTo(row.done() + by);
    written(productionId);
  }

  /** Writes what is changed and matches the shots with those that takes gather under. */
  private State written(long productionId) {
    rows.flush();
    versions.flush();
    State state = state(productionId);
    shots.match(productionId, state.story().shots());
    jobs.enqueueAnew(holdPlaces, productionId);
    return state;
  }

  private StoryRow lockedRow(long productionId, long revision) {
    StoryRow row =
        rows.findById(productionId).orElseGet(() -> rows.saveAndFlush(new StoryRow(productionId)));
    if (revision >= 0 && row.revision() != revision) {
      throw StaleRevision.of("story");
    }
    return row;
  }
}
