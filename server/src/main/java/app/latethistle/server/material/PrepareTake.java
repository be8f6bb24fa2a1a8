package app.latethistle.server.material;

import app.latethistle.media.ContentStore;
import app.latethistle.media.ProxyFile;
import app.latethistle.media.RefusedMedia;
import app.latethistle.server.jobs.Job;
import app.latethistle.server.jobs.Jobs;
import app.latethistle.server.jobs.Lane;
import app.latethistle.server.production.Production;
import app.latethistle.server.production.Productions;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.function.Consumer;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.transaction.support.TransactionTemplate;

/** The job that makes a take's light copy, and by that knows whether the file is whole. */
@Configuration(proxyBeanMethods = false)
class PrepareTake {
  private static final int TELL_EVERY = 12;

  @Bean("prepare-take")
  Job prepareTake(
      Takes takes,
      Productions productions,
      ContentStore store,
      ProxyPaths paths,
      Shots shots,
      Picks picks,
      ObjectProvider<Jobs> jobs,
      @Qualifier("measure-take") Job measureTake,
      ApplicationEventPublisher events,
      TransactionTemplate transaction) {
    Ending ending =
        new Ending(productions, takes, shots, picks, jobs, measureTake, events, transaction);
    return Job.of(
        Lane.DESK,
        "prepare-take",
        id -> takes.findById(id).map(TakeEntry::productionId),
        id -> {
          TakeEntry take = takes.findById(id).orElse(null);
          if (take == null || take.state() != State.PREPARING) {
            return Optional.empty();
          }
          Production production = productions.get(take.productionId());
          try {
            ending.ready(id, prepare(take, production, store, paths, takes));
          } catch (RefusedMedia e) {
            ending.refused(id, e.getMessage());
          }
          return Optional.empty();
        },
        (id, why) -> ending.refused(id, "It could not be prepared: " + why));
  }

  /** What becomes of a take. */
  private record Ending(
      Productions productions,
      Takes takes,
      Shots shots,
      Picks picks,
      ObjectProvider<Jobs> jobs,
      Job measureTake,
      ApplicationEventPublisher events,
      TransactionTemplate transaction) {

    void ready(long id, long frames) {
      end(
          id,
          take -> {
            take.ready(frames);
            takes.flush();
            events.publishEvent(new TakeReady(take.productionId(), take.shotId(), id));
            jobs.getObject().enqueue(measureTake, id);
          });
    }

    void refused(long id, String why) {
      end(
          id,
          take -> {
            // The lock keeps a take that comes at the same time from losing its place as the pick.
            productions.lock(take.productionId());
            take.refuse(why);
            takes.flush();
            picks.refresh(shots.get(take.productionId(), take.shotId()));
          });
    }

    private void end(long id, Consumer<TakeEntry> how) {
      transaction.executeWithoutResult(
          status ->
              takes.findById(id).filter(take -> take.state() == State.PREPARING).ifPresent(how));
    }
  }

  private static long prepare(
      TakeEntry take, Production production, ContentStore store, ProxyPaths paths, Takes takes)
      throws IOException {
    Medium medium = take.medium();
    Path proxy = paths.of(medium.hash(), production.rate());
    if (Files.exists(proxy)) {
      ProxyFile file =
          ProxyFile.open(proxy, ProxyFile.shapeOf(medium.facts().shape().orElseThrow()));
      return file.frames() == 1 ? medium.facts().framesAt(production.rate()) : file.frames();
    }
    return ProxyFile.make(
        store.path(medium.hash()),
        medium.facts(),
        production.rate(),
        proxy,
        done -> {
          if (done % TELL_EVERY == 0) {
            takes.progress(take.id(), done);
          }
        });
  }
}
