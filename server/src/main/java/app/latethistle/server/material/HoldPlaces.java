package app.latethistle.server.material;

import app.latethistle.core.time.FrameRate;
import app.latethistle.media.ContentStore;
import app.latethistle.media.MediaFacts;
import app.latethistle.media.Probe;
import app.latethistle.server.config.Jobs;
import app.latethistle.server.production.Production;
import app.latethistle.server.production.Productions;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Gives each shot of the story that has no take a slate, which holds its time in the film. */
@Component
public class HoldPlaces {
  private final Productions productions;
  private final Shots shots;
  private final Takes takes;
  private final Media media;
  private final ContentStore store;
  private final Picks picks;
  private final Jobs jobs;
  private final OneTimeTask<Long> prepareTake;
  private final TransactionTemplate transaction;

  HoldPlaces(
      Productions productions,
      Shots shots,
      Takes takes,
      Media media,
      ContentStore store,
      Picks picks,
      Jobs jobs,
      @Qualifier("prepare-take") OneTimeTask<Long> prepareTake,
      TransactionTemplate transaction) {
    this.productions = productions;
    this.shots = shots;
    this.takes = takes;
    this.media = media;
    this.store = store;
    this.picks = picks;
    this.jobs = jobs;
    this.prepareTake = prepareTake;
    this.transaction = transaction;
  }

  /**
   * Makes the slates that are missing.
   *
   * @return how many were made
   */
  public int hold(long productionId) throws IOException {
    Production production = productions.get(productionId);
    int made = 0;
    for (Shot shot : shots.findByProductionId(productionId)) {
      if (shot.storyShot() == null || hasTake(shot.id())) {
        continue;
      }
      byte[] slate = Slate.draw(production.shape(), shot.label(), shot.title());
      ContentStore.Stored stored = store.put(new ByteArrayInputStream(slate));
      MediaFacts facts = Probe.probe(stored.path());
      transaction.executeWithoutResult(
          status -> enter(shot.id(), production.rate(), stored, facts));
      made++;
    }
    return made;
  }

  private boolean hasTake(long shotId) {
    return takes.findByShotIdOrderByNumberAscIdAsc(shotId).stream()
        .anyMatch(t -> t.state() != State.REFUSED);
  }

  private void enter(long shotId, FrameRate rate, ContentStore.Stored stored, MediaFacts facts) {
    Shot shot = shots.findById(shotId).orElse(null);
    if (shot == null || hasTake(shotId)) {
      return;
    }
    Medium medium =
        media
            .findById(stored.hash())
            .orElseGet(() -> media.save(new Medium(stored.hash(), stored.bytes(), facts)));
    TakeEntry take = new TakeEntry(shot, 0, "placeholder.png", medium, facts.framesAt(rate));
    take.holdPlace();
    takes.save(take);
    picks.settle(shot);
    jobs.enqueue(prepareTake, take.id());
  }
}
