package app.latethistle.server.material;

import app.latethistle.server.config.Job;
import com.github.kagkarlsson.scheduler.task.Task;
import java.util.Optional;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The job that makes slates after the story has changed. */
@Configuration(proxyBeanMethods = false)
class HoldPlacesJob {
  @Bean("hold-places")
  Task<Long> holdPlacesTask(ObjectProvider<HoldPlaces> places, Refusals refusals) {
    return Job.of(
        "hold-places",
        id -> {
          // Again, as long as shots come in meanwhile.
          while (places.getObject().hold(id) > 0) {
            Thread.onSpinWait();
          }
          return Optional.empty();
        },
        (id, why) -> refusals.save(new Refusal(id, "slates", "Slates could not be drawn: " + why)));
  }
}
