package app.latethistle.server.material;

import app.latethistle.media.ContentStore;
import app.latethistle.media.ProxyFile;
import app.latethistle.media.RefusedMedia;
import app.latethistle.server.config.Jobs;
import app.latethistle.server.production.Production;
import app.latethistle.server.production.Productions;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
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
  OneTimeTask<Long> prepareTake(
      Takes takes,
      Productions productions,
      ContentStore store,
      ProxyPaths paths,
      Shots shots,
      Picks picks,
      ObjectProvider<Jobs> jobs,
      @Qualifier("measure-take") OneTimeTask<Long> measureTake,
      ApplicationEventPublisher events,
      TransactionTemplate transaction) {
    return Tasks.oneTime("prepare-take", Long.class)
        .onFailure(
            (complete, operations) ->
                operations.reschedule(complete, Instant.now().plus(Duration.ofSeconds(2))))
        .execute(
            (instance, context) -> {
              TakeEntry take = takes.findById(instance.getData()).orElse(null);
              if (take == null || take.state() != State.PREPARING) {
                return;
              }
              Production production = productions.get(take.productionId());
              String refused = null;
              long frames = 0;
              try {
                frames = prepare(take, production, store, paths, takes);
              } catch (RefusedMedia e) {
                refused = e.getMessage();
              } catch (IOException e) {
                throw new UncheckedIOException(e);
              }
              String reason = refused;
              long counted = frames;
              transaction.executeWithoutResult(
                  status ->
                      takes
                          .findById(take.id())
                          .ifPresent(
                              t -> {
                                if (reason == null) {
                                  t.ready(counted);
                                  takes.flush();
                                  events.publishEvent(
                                      new TakeReady(t.productionId(), t.shotId(), t.id()));
                                  jobs.getObject().enqueue(measureTake, t.id());
                                } else {
                                  t.refuse(reason);
                                  takes.flush();
                                  picks.settle(shots.get(t.productionId(), t.shotId()));
                                }
                              }));
            });
  }

  private static long prepare(
      TakeEntry take, Production production, ContentStore store, ProxyPaths paths, Takes takes)
      throws IOException {
    Medium medium = take.medium();
    Path proxy = paths.of(medium.hash(), production.rate());
    if (Files.exists(proxy)) {
      try (ProxyFile file =
          ProxyFile.open(proxy, ProxyFile.shapeOf(medium.facts().shape().orElseThrow()))) {
        return file.frames() == 1 ? medium.facts().framesAt(production.rate()) : file.frames();
      }
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
