package app.latethistle.server.material;

import app.latethistle.core.time.FrameRate;
import app.latethistle.media.ContentStore;
import app.latethistle.media.MediaFacts;
import app.latethistle.media.Probe;
import app.latethistle.media.ProxyFile;
import app.latethistle.server.production.Production;
import app.latethistle.server.production.Productions;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.context.ApplicationEventPublisher;
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
  private final ProxyPaths paths;
  private final ApplicationEventPublisher events;
  private final TransactionTemplate transaction;

  HoldPlaces(
      Productions productions,
      Shots shots,
      Takes takes,
      Media media,
      ContentStore store,
      Picks picks,
      ProxyPaths paths,
      ApplicationEventPublisher events,
      TransactionTemplate transaction) {
    this.productions = productions;
    this.shots = shots;
    this.takes = takes;
    this.media = media;
    this.store = store;
    this.picks = picks;
    this.paths = paths;
    this.events = events;
    this.transaction = transaction;
  }

  /**
   * Makes the slates that are missing, and draws those anew whose shot has other words now.
   *
   * @return how many were drawn
   */
  public int hold(long productionId) throws IOException {
    Production production = productions.get(productionId);
    int drawn = 0;
    for (Shot shot : shots.findByProductionIdOrderById(productionId)) {
      String words = words(shot);
      if (shot.storyShot() == null || !needsSlate(shot.id(), words)) {
        continue;
      }
      byte[] slate = Slate.draw(production.shape(), shot.label(), shot.title());
      ContentStore.Stored stored = store.put(new ByteArrayInputStream(slate));
      MediaFacts facts = Probe.probe(stored.path());
      Path proxy = paths.of(stored.hash(), production.rate());
      if (!Files.exists(proxy)) {
        ProxyFile.make(stored.path(), facts, production.rate(), proxy, done -> {});
      }
      transaction.executeWithoutResult(
          status -> enter(productionId, shot.id(), words, production.rate(), stored, facts));
      drawn++;
    }
    return drawn;
  }

  /** What a slate says, by which its take is named. */
  private static String words(Shot shot) {
    return (shot.label() + " " + shot.title()).strip();
  }

  private boolean needsSlate(long shotId, String words) {
    return takes.findByShotIdOrderByNumberAscIdAsc(shotId).stream()
        .filter(t -> t.state() != State.REFUSED)
        .allMatch(t -> t.isPlaceholder() && !t.fileName().equals(words));
  }

  private void enter(
      long productionId,
      long shotId,
      String words,
      FrameRate rate,
      ContentStore.Stored stored,
      MediaFacts facts) {
    // The lock keeps a take that comes at the same time from losing its place as the pick.
    boolean gone = productions.lock(productionId).isEmpty();
    Shot shot = shots.findById(shotId).orElse(null);
    if (gone || shot == null || !needsSlate(shotId, words)) {
      return;
    }
    Medium medium = media.enter(stored, facts);
    TakeEntry take =
        takes.findByShotIdOrderByNumberAscIdAsc(shotId).stream()
            .filter(TakeEntry::isPlaceholder)
            .findFirst()
            .orElseGet(() -> new TakeEntry(shot, 0, words, medium, facts.framesAt(rate)));
    take.holdPlace(words, medium);
    takes.saveAndFlush(take);
    picks.refresh(shot);
    events.publishEvent(new TakeReady(take.productionId(), shotId, take.id()));
  }
}
