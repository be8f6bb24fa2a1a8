package app.latethistle.server.services;

import app.latethistle.core.story.ServiceProfile;
import app.latethistle.server.jobs.Job;
import app.latethistle.server.jobs.Jobs;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Sends waiting requests off, first come first served, as many at once as each service takes. */
@Component
public class Queue {
  private final Requests requests;
  private final ServiceDesk desk;
  private final Jobs jobs;
  private final Job askService;

  Queue(Requests requests, ServiceDesk desk, Jobs jobs, @Qualifier("ask-service") Job askService) {
    this.requests = requests;
    this.desk = desk;
    this.jobs = jobs;
    this.askService = askService;
  }

  @Scheduled(fixedDelay = 700)
  void dispatch() {
    if (!jobs.isRunning()) {
      return;
    }
    for (ServiceRow row : desk.all()) {
      ServiceProfile profile = row.profile();
      List<Request> waiting =
          requests.findByServiceAndStateOrderById(profile.name(), Request.State.QUEUED);
      if (waiting.isEmpty()) {
        continue;
      }
      long running = requests.countByServiceAndState(profile.name(), Request.State.RUNNING);
      long free = Math.min(waiting.size(), profile.atOnce() - running);
      for (int i = 0; i < free; i++) {
        jobs.enqueue(askService, waiting.get(i).id());
      }
    }
  }

  /** Seconds until a request is done, by how long its service has taken lately. */
  double secondsLeft(Request request, ServiceProfile profile) {
    double usual = usual(profile);
    if (request.state() == Request.State.RUNNING && request.startedAt() != null) {
      return Math.max(1, usual - seconds(request.startedAt(), Instant.now()));
    }
    return behind(position(request), profile) + usual;
  }

  /** Seconds until so many more requests would all be done, behind those that wait and run. */
  double secondsFor(int count, ServiceProfile profile) {
    int waiting =
        requests.findByServiceAndStateOrderById(profile.name(), Request.State.QUEUED).size();
    return behind(waiting + count - 1, profile) + usual(profile);
  }

  /** Seconds until the turn of a request comes that has so many before it in the queue. */
  private double behind(int before, ServiceProfile profile) {
    long running = requests.countByServiceAndState(profile.name(), Request.State.RUNNING);
    return (before + running) / profile.atOnce() * usual(profile);
  }

  /** The median of what its last requests took from start to end, else the wait it is set to. */
  private double usual(ServiceProfile profile) {
    double[] took =
        requests
            .findTop10ByServiceAndStateOrderByEndedAtDesc(profile.name(), Request.State.DONE)
            .stream()
            .filter(r -> r.startedAt() != null && r.endedAt() != null)
            .mapToDouble(r -> seconds(r.startedAt(), r.endedAt()))
            .sorted()
            .toArray();
    return Math.max(1, took.length == 0 ? profile.waitSeconds() : took[took.length / 2]);
  }

  private static double seconds(Instant from, Instant to) {
    return Duration.between(from, to).toMillis() / 1e3;
  }

  /** How many are before a waiting request. */
  int position(Request request) {
    return (int)
        requests.findByServiceAndStateOrderById(request.service(), Request.State.QUEUED).stream()
            .filter(r -> r.id() < request.id())
            .count();
  }
}
