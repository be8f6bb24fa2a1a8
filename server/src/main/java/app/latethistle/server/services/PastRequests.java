package app.latethistle.server.services;

import app.latethistle.core.story.Prompt;
import app.latethistle.core.story.ServiceProfile;
import app.latethistle.core.story.Story;
import app.latethistle.core.story.StoryShot;
import app.latethistle.core.take.ClipName;
import app.latethistle.server.material.BringIn;
import app.latethistle.server.material.Shot;
import app.latethistle.server.material.Shots;
import java.io.IOException;
import java.io.InputStream;
import java.time.Duration;
import org.springframework.stereotype.Component;

/** Brings in takes that were asked for before: with their prompt, their cost and their wait. */
@Component
public class PastRequests {
  private final Requests requests;
  private final ServiceDesk desk;
  private final BringIn bringIn;
  private final Shots shots;

  PastRequests(Requests requests, ServiceDesk desk, BringIn bringIn, Shots shots) {
    this.requests = requests;
    this.desk = desk;
    this.bringIn = bringIn;
    this.shots = shots;
  }

  /** Brings a take in as one that a service made for a shot of the story a day ago. */
  public void bringIn(
      long productionId, StoryShot wanted, Story story, String service, String name, InputStream in)
      throws IOException {
    ServiceProfile profile = desk.profile(service);
    Shot shot = shots.findByProductionIdAndStoryShot(productionId, wanted.id()).orElseThrow();
    double seconds = profile.lengthFor(wanted.seconds());
    Prompt prompt = Prompt.of(wanted, story.sheets(), profile);
    long seed = 1000L + 10L * wanted.id() + ClipName.parse(name).take();
    Request request =
        new Request(
            productionId,
            shot.id(),
            profile.name(),
            Request.Kind.MAKE,
            prompt.text(),
            prompt.exclusion(),
            seed,
            seconds,
            0,
            wanted.move(),
            null,
            profile.cost(seconds, 1),
            Request.State.DONE);
    request.was(Duration.ofDays(1), Duration.ofSeconds(40 + seed % 70));
    requests.save(request);
    bringIn.bringMade(
        productionId,
        shot.id(),
        name,
        in,
        new BringIn.Origin(profile.name(), prompt.text(), seed, profile.cost(seconds, 1)));
  }
}
