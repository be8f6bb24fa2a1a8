package app.latethistle.server.material;

import app.latethistle.server.jobs.Job;
import app.latethistle.server.jobs.Lane;
import java.util.Optional;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The job that makes slates after the story has changed. */
@Configuration(proxyBeanMethods = false)
class HoldPlacesJob {
  @Bean("hold-places")
  Job holdPlacesTask(ObjectProvider<HoldPlaces> places, Refusals refusals) {
    return Job.of(
        Lane.DESK,
        "hold-places",
        Optional::of,
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
