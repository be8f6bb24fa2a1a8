package app.latethistle.server.services;

import app.latethistle.core.Refused;
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
  private final Queue queue;

  Asking(
      Requests requests,
      ServiceDesk desk,
      Allowance allowance,
      Productions productions,
      Shots shots,
      Takes takes,
      StoryService stories,
      Queue queue) {
    this.requests = requests;
    this.desk = desk;
    this.allowance = allowance;
    this.productions = productions;
    this.shots = shots;
    this.takes = takes;
    this.stories = stories;
    this.queue = queue;
  }

  /** How many requests went out, and why the others did not. */
  public record Asked(int count, String message) {}

  /**
   * What is asked of a service.
   *
   * @param shots of the material; each gets a request
   * @param picture a still take to start from, or null
   * @param pictures how many stills of each, 1 to 6; without meaning for clips
   * @param seed of the first; the others count up; 0 for any
   */
  public record Wish(String service, List<Long> shots, Long picture, int pictures, long seed) {}

  /**
   * What a wish would cost.
   *
   * @param credits of all requests together
   * @param left credits of the allowance
   * @param seconds until the last is done, behind what the service has still to do
   */
  public record Estimate(
      double credits, double left, ServiceProfile.Period period, double seconds) {}

  /** What a wish would cost and how long it would take; nothing is asked. */
  @Transactional(readOnly = true)
  public Estimate estimate(long productionId, Wish wish) {
    ServiceProfile profile = desk.profile(wish.service());
    Story story = stories.state(productionId).story();
    double credits = 0;
    for (long shotId : wish.shots()) {
      double seconds =
          shots.get(productionId, shotId).wantedIn(story).map(StoryShot::seconds).orElse(0.0);
      credits += profile.cost(profile.lengthFor(seconds), wish.pictures());
    }
    return new Estimate(
        credits,
        allowance.left(profile),
        profile.period(),
        queue.outlook(profile).secondsFor(Math.max(1, wish.shots().size())));
  }

  /** What it would cost to let a take go on for longer; nothing is asked. */
  @Transactional(readOnly = true)
  public Estimate estimateExtension(long productionId, long takeId, double seconds) {
    TakeEntry take = takes.get(productionId, takeId);
    ServiceProfile profile = maker(take);
    requireExtensible(productionId, take);
    return estimate(profile, profile.cost(seconds, 0));
  }

  /** What a take twice as large would cost; nothing is asked. */
  @Transactional(readOnly = true)
  public Estimate estimateEnlargement(long productionId, long takeId) {
    TakeEntry take = takes.get(productionId, takeId);
    ServiceProfile profile = maker(take);
    return estimate(profile, enlarging(take, profile));
  }

  private Estimate estimate(ServiceProfile profile, double credits) {
    return new Estimate(
        credits, allowance.left(profile), profile.period(), queue.outlook(profile).secondsFor(1));
  }

  private static double enlarging(TakeEntry take, ServiceProfile profile) {
    MediaFacts facts = take.medium().facts();
    return facts.kind() == MediaFacts.Kind.STILL
        ? profile.credits()
        : profile.cost(facts.seconds(), 0);
  }

  /** Asks a service for takes of shots, each with its prompt. */
  @Transactional
  public Asked make(long productionId, Wish wish) {
    productions.getLocked(productionId);
    ServiceProfile profile = desk.profile(wish.service());
    boolean stills = profile.kind() == ServiceProfile.Kind.STILL;
    if (stills && (wish.pictures() < 1 || wish.pictures() > ServiceProfile.MOST_STILLS)) {
      throw new Refused(
          profile.name() + " makes 1 to " + ServiceProfile.MOST_STILLS + " stills of a shot.");
    }
    Story story = stories.state(productionId).story();
    TakeEntry source = wish.picture() == null ? null : takes.get(productionId, wish.picture());
    if (source != null && !profile.takes(ServiceProfile.Input.PICTURE)) {
      throw new Refused(profile.name() + " does not start from a picture.");
    }
    double left = allowance.left(profile);
    long next = wish.seed() > 0 ? wish.seed() : 1 + new SplittableRandom().nextInt(90_000);
    int pictures = stills ? wish.pictures() : 0;
    requireSeen(productionId, wish.shots(), story);
    int count = 0;
    for (long shotId : wish.shots()) {
      Shot shot = shots.get(productionId, shotId);
      StoryShot wanted = wanted(story, shot);
      double seconds = profile.lengthFor(wanted.seconds());
      double cost = profile.cost(seconds, pictures);
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
              pictures,
              wanted.move(),
              wish.picture(),
              cost,
              Request.State.QUEUED));
      count++;
    }
    int missing = wish.shots().size() - count;
    return new Asked(count, missing == 0 ? "" : out(profile, missing));
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

  /** A service cannot draw what nobody has said. */
  private void requireSeen(long productionId, List<Long> asked, Story story) {
    List<String> blank =
        asked.stream()
            .map(id -> shots.get(productionId, id))
            .filter(shot -> wanted(story, shot).seen().isBlank())
            .map(Shot::called)
            .toList();
    if (!blank.isEmpty()) {
      throw new Refused(
          "Nothing is said of what is seen in " + String.join(", ", blank) + "; say it in Story.");
    }
  }

  private static StoryShot wanted(Story story, Shot shot) {
    return shot.wantedIn(story)
        .orElseThrow(
            () ->
                new Refused(
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
      throw new Refused("A clip can be made longer, by 1 to 10 seconds.");
    }
    requireExtensible(productionId, take);
    return again(
        take, profile, Request.Kind.EXTEND, facts.seconds() + seconds, profile.cost(seconds, 0));
  }

  private void requireExtensible(long productionId, TakeEntry take) {
    long before =
        requests.findByProductionIdOrderById(productionId).stream()
            .filter(r -> r.kind() == Request.Kind.EXTEND && r.seed() == take.seed())
            .filter(r -> r.service().equals(take.service()) && r.state() != Request.State.FAILED)
            .count();
    if (before >= EXTENSIONS) {
      throw new Refused("A take can be made longer three times.");
    }
  }

  /** Asks for a take twice as large. */
  @Transactional
  public Asked enlarge(long productionId, long takeId) {
    TakeEntry take = takes.get(productionId, takeId);
    ServiceProfile profile = maker(take);
    PictureShape shape = take.medium().facts().shape().orElseThrow();
    if (Math.min(shape.width(), shape.height()) >= LARGEST * profile.height()) {
      throw new Refused(take.fileName() + " is as large as " + profile.name() + " makes them.");
    }
    double seconds = take.medium().facts().seconds();
    return again(take, profile, Request.Kind.ENLARGE, seconds, enlarging(take, profile));
  }

  private ServiceProfile maker(TakeEntry take) {
    if (take.service().isEmpty()) {
      throw new Refused(
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
            1,
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

  /** Asks once more for all that failed, as far as the allowances reach. */
  @Transactional
  public Asked askAgainForFailed(long productionId) {
    int count = 0;
    String message = "";
    for (Request request : requests.findByProductionIdOrderById(productionId)) {
      if (request.state() == Request.State.FAILED) {
        Asked asked = askAgain(productionId, request.id());
        count += asked.count();
        message = asked.message().isEmpty() ? message : asked.message();
      }
    }
    return new Asked(count, message);
  }

  /** Asks once more for what failed or was cancelled. */
  @Transactional
  public Asked askAgain(long productionId, long id) {
    Request request = requests.getLocked(productionId, id);
    if (request.state() != Request.State.FAILED && request.state() != Request.State.CANCELLED) {
      throw new Refused("The request is " + request.state().name().toLowerCase(Locale.ROOT) + ".");
    }
    ServiceProfile profile = desk.profile(request.service());
    if (request.cost() > allowance.left(profile)) {
      return new Asked(0, out(profile, 1));
    }
    request.again();
    return new Asked(1, "");
  }
}
