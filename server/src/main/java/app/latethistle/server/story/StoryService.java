package app.latethistle.server.story;

import app.latethistle.core.Refused;
import app.latethistle.core.story.Story;
import app.latethistle.server.config.StaleRevision;
import app.latethistle.server.jobs.Job;
import app.latethistle.server.jobs.Jobs;
import app.latethistle.server.production.Production;
import app.latethistle.server.production.Productions;
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
  private static final int KEPT = 200;

  private final Productions productions;
  private final StoryRows rows;
  private final StoryVersions versions;
  private final StoryShots shots;
  private final Jobs jobs;
  private final Job holdPlaces;

  StoryService(
      Productions productions,
      StoryRows rows,
      StoryVersions versions,
      StoryShots shots,
      Jobs jobs,
      @Qualifier("hold-places") Job holdPlaces) {
    this.productions = productions;
    this.rows = rows;
    this.versions = versions;
    this.shots = shots;
    this.jobs = jobs;
    this.holdPlaces = holdPlaces;
  }

  /**
   * A story as it is.
   *
   * @param undo the name of the change that undo takes back, or ""
   * @param redo the name of the change that redo makes again, or ""
   */
  public record State(
      Production production, Story story, long revision, String undo, String redo) {}

  /** The story of a production; an empty one if nobody has written it. */
  @Transactional(readOnly = true)
  public State state(long productionId) {
    Production production = productions.get(productionId);
    Optional<StoryRow> row = rows.findById(productionId);
    int done = row.map(StoryRow::done).orElse(0);
    Optional<StoryVersion> now = versions.findByProductionIdAndPlace(productionId, done);
    boolean canUndo =
        done > 0
            && (done == 1
                || versions.findByProductionIdAndPlace(productionId, done - 1).isPresent());
    return new State(
        production,
        now.map(v -> StoredStory.read(v.body())).orElseGet(() -> empty(production)),
        row.map(StoryRow::revision).orElse(0L),
        canUndo ? now.map(StoryVersion::name).orElse("") : "",
        versions
            .findByProductionIdAndPlace(productionId, done + 1)
            .map(StoryVersion::name)
            .orElse(""));
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
            && last.get().name().equals(WRITE)
            && last.get().madeAt().isAfter(Instant.now().minus(CLOSE));
    if (goesOn) {
      last.get().goOn(StoredStory.write(after));
      row.goTo(row.done());
    } else {
      int place = row.done() + 1;
      versions.save(new StoryVersion(productionId, place, name, StoredStory.write(after)));
      versions.forgetUpTo(productionId, place - KEPT);
      row.goTo(place);
    }
    return written(productionId);
  }

  /** Takes the last change back. */
  @Transactional
  public State undo(long productionId, long revision) {
    return step(productionId, revision, -1);
  }

  /** Makes the last change that was taken back again. */
  @Transactional
  public State redo(long productionId, long revision) {
    return step(productionId, revision, 1);
  }

  private State step(long productionId, long revision, int by) {
    productions.getLocked(productionId);
    StoryRow row = lockedRow(productionId, revision);
    State state = state(productionId);
    if ((by < 0 ? state.undo() : state.redo()).isEmpty()) {
      throw new Refused(
          by < 0 ? "There is no change to take back." : "There is no change to make again.");
    }
    row.goTo(row.done() + by);
    return written(productionId);
  }

  /** Writes what is changed and matches the shots with those that takes gather under. */
  private State written(long productionId) {
    rows.flush();
    versions.flush();
    State state = state(productionId);
    shots.match(productionId, state.story().shots());
    jobs.enqueue(holdPlaces, productionId);
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
