package app.latethistle.server.material;

import app.latethistle.core.measure.Box;
import app.latethistle.core.measure.CornerEdges;
import app.latethistle.core.measure.PictureMeter;
import app.latethistle.core.measure.TakeFacts;
import app.latethistle.media.ContentStore;
import app.latethistle.media.TakeMeasure;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.transaction.support.TransactionTemplate;

/** The job that measures what is right and wrong with a take. */
@Configuration(proxyBeanMethods = false)
class MeasureTake {
  private static final int TELL_EVERY = 16;

  @Bean("measure-take")
  OneTimeTask<Long> measureTakeTask(
      Takes takes, Media media, ContentStore store, TransactionTemplate transaction) {
    return Tasks.oneTime("measure-take", Long.class)
        .onFailure(
            (complete, operations) ->
                operations.reschedule(complete, Instant.now().plus(Duration.ofSeconds(5))))
        .execute(
            (instance, context) -> {
              TakeEntry take = takes.findById(instance.getData()).orElse(null);
              if (take == null || take.state() != State.READY || take.isMeasured()) {
                return;
              }
              try {
                PictureMeter.Measured measured =
                    TakeMeasure.measure(
                        store.path(take.medium().hash()),
                        take.medium().facts(),
                        done -> {
                          if (done % TELL_EVERY == 0) {
                            takes.measuring(take.id(), done);
                          }
                        });
                transaction.executeWithoutResult(status -> keep(take, measured, takes, media));
              } catch (IOException e) {
                throw new UncheckedIOException(e);
              }
            });
  }

  private static void keep(
      TakeEntry take, PictureMeter.Measured measured, Takes takes, Media media) {
    TakeFacts facts = measured.facts();
    media
        .findById(take.medium().hash())
        .ifPresent(m -> m.measure(facts, measured.edges().toBytes()));
    media.flush();
    takes.measuring(take.id(), facts.frames());
    markAll(take, takes, media);
  }

  /** A mark that a service's takes share is told of each of them. */
  private static void markAll(TakeEntry take, Takes takes, Media media) {
    if (take.service().isEmpty()) {
      return;
    }
    List<Medium> same =
        takes.findByProductionId(take.productionId()).stream()
            .filter(t -> t.service().equals(take.service()))
            .map(t -> media.findById(t.medium().hash()).orElseThrow())
            .filter(m -> m.edges().isPresent())
            .toList();
    List<Box> shared = CornerEdges.shared(same.stream().map(m -> m.edges().orElseThrow()).toList());
    if (!shared.isEmpty()) {
      same.forEach(m -> m.mark(shared));
    }
  }
}
