package app.latethistle.server.services;

import app.latethistle.core.film.Placement;
import app.latethistle.core.measure.MoveVerdict;
import app.latethistle.core.story.ServiceProfile;
import app.latethistle.core.story.Story;
import app.latethistle.core.story.StoryShot;
import app.latethistle.core.take.Gathering;
import app.latethistle.server.film.FilmService;
import app.latethistle.server.film.FilmState;
import app.latethistle.server.material.MeasuredWords;
import app.latethistle.server.material.Shot;
import app.latethistle.server.material.Shots;
import app.latethistle.server.material.State;
import app.latethistle.server.material.TakeEntry;
import app.latethistle.server.material.Takes;
import app.latethistle.server.story.StoryService;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What takes cost, how long they took, what they were good for, and what is still to be asked. */
@Service
public class Ledger {
  private final Requests requests;
  private final ServiceDesk desk;
  private final Allowance allowance;
  private final Shots shots;
  private final Takes takes;
  private final StoryService stories;
  private final FilmService films;

  Ledger(
      Requests requests,
      ServiceDesk desk,
      Allowance allowance,
      Shots shots,
      Takes takes,
      StoryService stories,
      FilmService films) {
    this.requests = requests;
    this.desk = desk;
    this.allowance = allowance;
    this.shots = shots;
    this.takes = takes;
    this.stories = stories;
    this.films = films;
  }

  /**
   * A service's line.
   *
   * @param spent credits in this production
   * @param left credits of the allowance
   * @param buys how many more requests of the usual length that is
   * @param waitedSeconds from asking to the end, all requests together
   * @param takes that came
   * @param used takes that are in the film
   * @param usedSeconds of them in the film
   * @param success share of requests that ended well, 0 to 1; below 0 if none has ended
   */
  public record Line(
      String service,
      double spent,
      double left,
      ServiceProfile.Period period,
      int buys,
      double waitedSeconds,
      int takes,
      int used,
      double usedSeconds,
      double success) {}

  /** A shot whose prompt was given out and of which nothing has come. */
  public record Awaited(long shot, String label, String seen) {}

  /** A take to ask for again, and why. */
  public record Retake(long shot, String label, String reason, String prompt) {}

  /**
   * The ledger of a production.
   *
   * @param costPerUsedSecond credits of all services for a second in the film; below 0 if none is
   * @param takesPerUsedShot takes of all kinds for a shot in the film; below 0 if none is
   */
  public record Page(
      List<Line> services,
      double spent,
      double costPerUsedSecond,
      double takesPerUsedShot,
      List<Awaited> awaited,
      List<Retake> retakes) {}

  /** The ledger as it stands. */
  @Transactional(readOnly = true)
  public Page of(long productionId) {
    List<TakeEntry> all =
        takes.findByProductionIdOrderById(productionId).stream()
            .filter(t -> !t.isPlaceholder())
            .toList();
    FilmState film = films.state(productionId);
    Map<Long, Double> used = new HashMap<>();
    for (int i = 0; i < film.film().placements().size(); i++) {
      Placement shot = film.film().placements().get(i);
      if (!shot.hasPicture()) {
        continue;
      }
      double seconds = film.production().rate().secondsOf(film.cutting().rangeOf(i).length());
      used.merge(Long.valueOf(shot.take()), seconds, Double::sum);
    }
    List<Request> asked = requests.findByProductionIdOrderById(productionId);
    List<Line> lines = desk.all().stream().map(r -> line(r.profile(), asked, all, used)).toList();
    double spent = lines.stream().mapToDouble(Line::spent).sum();
    double usedMade = lines.stream().mapToDouble(Line::usedSeconds).sum();
    Set<Long> usedShots = new HashSet<>();
    all.stream().filter(t -> used.containsKey(t.id())).forEach(t -> usedShots.add(t.shotId()));
    return new Page(
        lines,
        spent,
        usedMade > 0 ? spent / usedMade : -1,
        usedShots.isEmpty() ? -1 : (double) all.size() / usedShots.size(),
        awaited(productionId, all),
        retakes(productionId, all));
  }

  private Line line(
      ServiceProfile profile, List<Request> asked, List<TakeEntry> all, Map<Long, Double> used) {
    List<Request> its = asked.stream().filter(r -> r.service().equals(profile.name())).toList();
    List<TakeEntry> made = all.stream().filter(t -> t.service().equals(profile.name())).toList();
    long done = its.stream().filter(r -> r.state() == Request.State.DONE).count();
    long failed = its.stream().filter(r -> r.state() == Request.State.FAILED).count();
    double cost =
        Math.max(
            0.01,
            profile.cost(
                profile.lengths().isEmpty() ? 0 : profile.lengths().get(0),
                ServiceProfile.USUAL_STILLS));
    double left = allowance.left(profile);
    return new Line(
        profile.name(),
        its.stream().filter(r -> r.state() == Request.State.DONE).mapToDouble(Request::cost).sum(),
        left,
        profile.period(),
        (int) (left / cost),
        its.stream()
            .filter(r -> r.endedAt() != null && r.state() == Request.State.DONE)
            .mapToDouble(r -> Duration.between(r.askedAt(), r.endedAt()).toMillis() / 1000.0)
            .sum(),
        made.size(),
        (int) made.stream().filter(t -> used.containsKey(t.id())).count(),
        made.stream().mapToDouble(t -> used.getOrDefault(t.id(), 0.0)).sum(),
        done + failed == 0 ? -1 : (double) done / (done + failed));
  }

  private List<Awaited> awaited(long productionId, List<TakeEntry> all) {
    Set<Integer> given = new HashSet<>(stories.state(productionId).story().givenOut());
    Set<Long> have = new HashSet<>();
    all.forEach(t -> have.add(t.shotId()));
    return ordered(productionId).stream()
        .filter(s -> s.storyShot() != null && given.contains(s.storyShot()))
        .filter(s -> !have.contains(s.id()))
        .map(s -> new Awaited(s.id(), s.label(), s.title()))
        .toList();
  }

  private List<Shot> ordered(long productionId) {
    return shots.findByProductionIdOrderById(productionId).stream()
        .sorted(Comparator.comparing(Shot::key, Gathering.ORDER))
        .toList();
  }

  /** Shots whose pick is faulty, or whose takes all are. */
  private List<Retake> retakes(long productionId, List<TakeEntry> all) {
    Story story = stories.state(productionId).story();
    List<Retake> retakes = new ArrayList<>();
    for (Shot shot : ordered(productionId)) {
      StoryShot wanted = shot.wantedIn(story).orElse(null);
      Map<TakeEntry, String> why = new LinkedHashMap<>();
      all.stream()
          .filter(t -> t.shotId().equals(shot.id()) && t.state() == State.READY)
          .forEach(t -> why.put(t, why(t, wanted)));
      List<String> reasons =
          why.entrySet().stream()
              .filter(e -> !e.getValue().isEmpty())
              .map(e -> name(e.getKey(), shot) + ": " + e.getValue())
              .toList();
      boolean pick =
          why.entrySet().stream()
              .anyMatch(e -> isPick(e.getKey(), shot) && !e.getValue().isEmpty());
      if (pick || (!reasons.isEmpty() && reasons.size() == why.size())) {
        String prompt =
            why.keySet().stream()
                .map(TakeEntry::prompt)
                .filter(p -> !p.isEmpty())
                .findFirst()
                .orElse(shot.title());
        retakes.add(new Retake(shot.id(), shot.label(), String.join("; ", reasons), prompt));
      }
    }
    return retakes;
  }

  private static boolean isPick(TakeEntry take, Shot shot) {
    return take.id().equals(shot.pickId());
  }

  private static String name(TakeEntry take, Shot shot) {
    return "take " + take.number() + (isPick(take, shot) ? ", the pick" : "");
  }

  private static String why(TakeEntry take, StoryShot wanted) {
    List<String> why = new ArrayList<>(take.faults().stream().map(f -> f.label()).toList());
    take.measured()
        .filter(f -> wanted != null && f.frames() > 1)
        .map(f -> MoveVerdict.of(wanted.move(), f.travel()))
        .filter(v -> v.match() == MoveVerdict.Match.OTHER)
        .ifPresent(v -> why.add(v.inWords()));
    take.measured().ifPresent(f -> why.addAll(MeasuredWords.faults(f)));
    if (!take.note().isBlank() && !why.isEmpty()) {
      why.add(take.note());
    }
    return why.isEmpty() && take.isRejected() ? "rejected" : String.join(", ", why);
  }
}
