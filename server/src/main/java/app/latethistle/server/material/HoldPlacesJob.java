package app.latethistle.server.material;

import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Duration;
import java.time.Instant;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The job that makes slates after the story has changed. */
@Configuration(proxyBeanMethods = false)
class HoldPlacesJob {
  @Bean("hold-places")
  OneTimeTask<Long> holdPlacesTask(ObjectProvider<HoldPlaces> places) {
    return Tasks.oneTime("hold-places", Long.class)
        .onFailure(
            (complete, operations) ->
                operations.reschedule(complete, Instant.now().plus(Duration.ofSeconds(2))))
        .execute(
            (instance, context) -> {
              try {
                // Again, as long as shots come in meanwhile.
                while (places.getObject().hold(instance.getData()) > 0) {
                  Thread.onSpinWait();
                }
              } catch (IOException e) {
                throw new UncheckedIOException(e);
              }
            });
  }
}
