package app.latethistle.server.material;

import app.latethistle.core.measure.CornerEdges;
import app.latethistle.core.measure.PictureMeter;
import app.latethistle.core.measure.TakeFacts;
import app.latethistle.core.take.Box;
import app.latethistle.media.ContentStore;
import app.latethistle.media.TakeMeasure;
import app.latethistle.server.jobs.Job;
import app.latethistle.server.jobs.Lane;
import java.util.List;
import java.util.Optional;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.data.domain.Limit;
import org.springframework.transaction.support.TransactionTemplate;

/** The job that measures what is right and wrong with a take. */
@Configuration(proxyBeanMethods = false)
class MeasureTake {
  private static final int TELL_EVERY = 16;

  /** Takes of a service that are compared to find its mark. */
  private static final int COMPARED = 12;

  @Bean("measure-take")
  Job measureTakeTask(
      Takes takes,
      Media media,
      EdgesKept edges,
      ContentStore store,
      TransactionTemplate transaction) {
    return Job.of(
        Lane.DESK,
        "measure-take",
        id -> takes.findById(id).map(TakeEntry::productionId),
        id -> {
          TakeEntry take = takes.findById(id).orElse(null);
          if (take == null || take.state() != State.READY || take.isMeasured()) {
            return Optional.empty();
          }
          PictureMeter.Measured measured =
              TakeMeasure.measure(
                  store.path(take.medium().hash()),
                  take.medium().facts(),
                  done -> {
                    if (done % TELL_EVERY == 0) {
                      takes.measuring(id, done);
                    }
                  });
          transaction.executeWithoutResult(status -> keep(take, measured, takes, media, edges));
          return Optional.empty();
        },
        (id, why) ->
            transaction.executeWithoutResult(
                status -> takes.findById(id).ifPresent(take -> take.notMeasured(why))));
  }

  private static void keep(
      TakeEntry take, PictureMeter.Measured measured, Takes takes, Media media, EdgesKept edges) {
    TakeFacts facts = measured.facts();
    String hash = take.medium().hash();
    media.findById(hash).ifPresent(m -> m.measure(facts));
    edges.keep(hash, measured.edges().toBytes());
    takes.measuring(take.id(), facts.frames());
    if (!take.service().isEmpty()) {
      markAll(take, takes, edges);
    }
  }

  /** A mark that the newest takes of a service share is told of each of them. */
  private static void markAll(TakeEntry take, Takes takes, EdgesKept edges) {
    List<Medium> newest =
        takes
            .findByProductionIdAndServiceOrderByIdDesc(
                take.productionId(), take.service(), Limit.of(COMPARED))
            .stream()
            .map(TakeEntry::medium)
            .filter(Medium::isMeasured)
            .toList();
    List<Box> shared =
        CornerEdges.shared(
            edges.findAllById(newest.stream().map(Medium::hash).toList()).stream()
                .map(StandingEdges::edges)
                .toList());
    if (!shared.isEmpty()) {
      newest.forEach(m -> m.mark(shared));
    }
  }
}
