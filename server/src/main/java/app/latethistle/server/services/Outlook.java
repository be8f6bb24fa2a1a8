package app.latethistle.server.services;

import app.latethistle.core.story.ServiceProfile;
import java.time.Duration;
import java.time.Instant;
import java.util.List;

/**
 * How long requests of a service will take, by how long its last ones took.
 *
 * @param waiting requests that wait, first come first
 * @param running how many are being made
 * @param done the last that came
 */
record Outlook(ServiceProfile profile, List<Request> waiting, long running, List<Request> done) {
  /** How many wait before a waiting request. */
  int before(Request request) {
    return (int) waiting.stream().filter(r -> r.id() < request.id()).count();
  }

  /** Seconds until a request is done. */
  double secondsLeft(Request request) {
    if (request.state() == Request.State.RUNNING && request.startedAt() != null) {
      return Math.max(1, usual() - seconds(request.startedAt(), Instant.now()));
    }
    return behind(before(request)) + usual();
  }

  /** Seconds until so many more requests would all be done, behind those that wait and run. */
  double secondsFor(int count) {
    return behind(waiting.size() + count - 1) + usual();
  }

  /** Seconds until the turn of a request comes that has so many before it in the queue. */
  private double behind(int before) {
    return (before + running) / profile.atOnce() * usual();
  }

  /** The median of what its last requests took from start to end, else the wait it is set to. */
  private double usual() {
    double[] took =
        done.stream()
            .filter(r -> r.startedAt() != null && r.endedAt() != null)
            .mapToDouble(r -> seconds(r.startedAt(), r.endedAt()))
            .sorted()
            .toArray();
    return Math.max(1, took.length == 0 ? profile.waitSeconds() : took[took.length / 2]);
  }

  private static double seconds(Instant from, Instant to) {
    return Duration.between(from, to).toMillis() / 1e3;
  }
}
