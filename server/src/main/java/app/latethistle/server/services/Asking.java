package app.latethistle.server.services;

import app.latethistle.core.story.Prompt;
import app.latethistle.core.story.ServiceProfile;
import app.latethistle.core.story.Story;
import app.latethistle.core.story.StoryShot;
import app.latethistle.core.take.PictureShape;
import app.latethistle.media.MediaFacts;
import app.latethistle.server.material.Shot;
import app.latethistle.server.material.Shots;
import app.latethistle.server.material.TakeEntry;
import app.latethistle.server.material.Takes;
import app.latethistle.server.production.Productions;
import app.latethistle.server.story.StoryService;
import java.util.List;
import java.util.Locale;
import java.util.SplittableRandom;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Puts requests to services, within their allowance. */
@Service
public class Asking {
  /** A take is made longer at most so often. */
  static final int EXTENSIONS = 3;

  /** A take is at most so many times as large as its service makes them at first. */
  static final int LARGEST = 4;

  private final Requests requests;
  private final ServiceDesk desk;
  private final Allowance allowance;
  private final Productions productions;
  private final Shots shots;
  private final Takes takes;
  private final StoryService stories;

  Asking(
      Requests requests,
      ServiceDesk desk,
      Allowance allowance,
      Productions productions,
      Shots shots,
      Takes takes,
      StoryService stories) {
    this.requests = requests;
    this.desk = desk;
    this.allowance = allowance;
    this.productions = productions;
    this.shots = shots;
    this.takes = takes;
    this.stories = stories;
  }

  /** How many requests went out, and why the others did not. */
  public record Asked(int count, String message) {}

  /**
   * Asks a service for takes of shots, each with its prompt.
   *
   * @param shotIds of the material, as many requests as ids
   * @param picture a still take to start from, or null
   * @param seed of the first; the others count up; 0 for any
   */
  @Transactional
  public Asked make(
      long productionId, String service, List<Long> shotIds, Long picture, long seed) {
    productions.getLocked(productionId);
    ServiceProfile profile = desk.profile(service);
    Story story = stories.state(productionId).story();
    TakeEntry source = picture == null ? null : takes.get(productionId, picture);
    if (source != null && !profile.takesPicture()) {
      throw new IllegalArgumentException(profile.name() + " does not start from a picture.");
    }
    double left = allowance.left(profile);
    long next = seed > 0 ? seed : 1 + new SplittableRandom().nextInt(90_000);
    int count = 0;
    for (long shotId : shotIds) {
      Shot shot = shots.get(productionId, shotId);
      StoryShot wanted = wanted(story, shot);
      double seconds = profile.lengthFor(wanted.seconds());
      double cost = profile.cost(seconds);
      if (cost > left) {
        break;
      }
      left -= cost;
      Prompt prompt = Prompt.of(wanted, story.sheets(), profile);
      requests.save(
          new Request(
              productionId,
              shotId,
              profile.name(),
              Request.Kind.MAKE,
              prompt.text(),
              prompt.exclusion(),
              next + 10L * count,
              seconds,
              wanted.move(),
              picture,
              cost,
              Request.State.QUEUED));
      count++;
    }
    return new Asked(count, count == shotIds.size() ? "" : out(profile, shotIds.size() - count));
  }

  private static String out(ServiceProfile profile, int missing) {
    String period = profile.period() == ServiceProfile.Period.DAY ? "today" : "this month";
    return profile.name()
        + " has no allowance left for "
        + (missing == 1 ? "one of these shots " : missing + " of these shots ")
        + period
        + "; ask another service for "
        + (missing == 1 ? "it" : "them")
        + ", or raise the allowance in its profile.";
  }

  private static StoryShot wanted(Story story, Shot shot) {
    return shot.wantedIn(story)
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    "Shot "
                        + shot.label()
                        + " is not in the story, so there is no prompt for it;"
                        + " add it there first."));
  }

  /** Asks for a take to go on for longer. */
  @Transactional
  public Asked extend(long productionId, long takeId, double seconds) {
    TakeEntry take = takes.get(productionId, takeId);
    ServiceProfile profile = maker(take);
    MediaFacts facts = take.medium().facts();
    if (facts.kind() != MediaFacts.Kind.CLIP || !(seconds >= 1 && seconds <= 10)) {
      throw new IllegalArgumentException("A clip can be made longer, by 1 to 10 seconds.");
    }
    long before =
        requests.findByProductionIdOrderById(productionId).stream()
            .filter(r -> r.kind() == Request.Kind.EXTEND && r.seed() == take.seed())
            .filter(r -> r.service().equals(take.service()) && r.state() != Request.State.FAILED)
            .count();
    if (before >= EXTENSIONS) {
      throw new IllegalArgumentException("A take can be made longer three times.");
    }
    return again(
        take, profile, Request.Kind.EXTEND, facts.seconds() + seconds, profile.cost(seconds));
  }

  /** Asks for a take twice as large. */
  @Transactional
  public Asked enlarge(long productionId, long takeId) {
    TakeEntry take = takes.get(productionId, takeId);
    ServiceProfile profile = maker(take);
    PictureShape shape = take.medium().facts().shape().orElseThrow();
    if (Math.min(shape.width(), shape.height()) >= LARGEST * profile.height()) {
      throw new IllegalArgumentException(
          take.fileName() + " is as large as " + profile.name() + " makes them.");
    }
    double seconds = take.medium().facts().seconds();
    double cost =
        take.medium().facts().kind() == MediaFacts.Kind.STILL
            ? profile.credits()
            : profile.cost(seconds);
    return again(take, profile, Request.Kind.ENLARGE, seconds, cost);
  }

  private ServiceProfile maker(TakeEntry take) {
    if (take.service().isEmpty()) {
      throw new IllegalArgumentException(
          take.fileName() + " was brought in; only the service that made a take can change it.");
    }
    return desk.profile(take.service());
  }

  private Asked again(
      TakeEntry take, ServiceProfile profile, Request.Kind kind, double seconds, double cost) {
    if (cost > allowance.left(profile)) {
      return new Asked(0, out(profile, 1));
    }
    var move =
        requests.findByProductionIdOrderById(take.productionId()).stream()
            .filter(r -> r.seed() == take.seed() && r.service().equals(take.service()))
            .map(Request::move)
            .findFirst()
            .orElse(app.latethistle.core.story.CameraMove.STILL);
    requests.save(
        new Request(
            take.productionId(),
            take.shotId(),
            take.service(),
            kind,
            take.prompt(),
            "",
            take.seed(),
            seconds,
            move,
            take.id(),
            cost,
            Request.State.QUEUED));
    return new Asked(1, "");
  }

  /** Stops a request that waits or runs; nothing is charged for it. */
  @Transactional
  public void cancel(long productionId, long id) {
    Request request = requests.getLocked(productionId, id);
    if (request.state() == Request.State.QUEUED || request.state() == Request.State.RUNNING) {
      request.end(Request.State.CANCELLED, null);
    }
  }

  /** Asks once more for what failed or was cancelled. */
  @Transactional
  public Asked askAgain(long productionId, long id) {
    Request request = requests.getLocked(productionId, id);
    if (request.state() != Request.State.FAILED && request.state() != Request.State.CANCELLED) {
      throw new IllegalArgumentException(
          "The request is " + request.state().name().toLowerCase(Locale.ROOT) + ".");
    }
    ServiceProfile profile = desk.profile(request.service());
    if (request.cost() > allowance.left(profile)) {
      return new Asked(0, out(profile, 1));
    }
    request.again();
    return new Asked(1, "");
  }
}
