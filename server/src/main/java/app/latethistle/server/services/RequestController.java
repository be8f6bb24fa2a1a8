package app.latethistle.server.services;

import app.latethistle.core.story.CameraMove;
import app.latethistle.core.story.ServiceProfile;
import app.latethistle.server.material.Shots;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What is asked of services, and what it cost. */
@RestController
@RequestMapping("/api/productions/{productionId}/requests")
class RequestController {
  private final Requests requests;
  private final ServiceDesk desk;
  private final Asking asking;
  private final Queue queue;
  private final Ledger ledger;
  private final Shots shots;

  RequestController(
      Requests requests, ServiceDesk desk, Asking asking, Queue queue, Ledger ledger, Shots shots) {
    this.requests = requests;
    this.desk = desk;
    this.asking = asking;
    this.queue = queue;
    this.ledger = ledger;
    this.shots = shots;
  }

  /**
   * A request.
   *
   * @param before how many wait before it
   * @param secondsLeft until it is done, as its service has been lately; 0 if it is
   * @param waited seconds from asking to its end, or until now
   */
  record RequestView(
      long id,
      long shot,
      String label,
      String service,
      Request.Kind kind,
      String prompt,
      long seed,
      double seconds,
      CameraMove move,
      double cost,
      Request.State state,
      @Schema(nullable = true) String message,
      int before,
      double secondsLeft,
      double waited) {}

  /** See {@link Asking.Wish}. */
  record NewRequests(
      String service,
      List<Long> shots,
      @Schema(nullable = true) Long picture,
      int pictures,
      long seed) {
    Asking.Wish wish() {
      return new Asking.Wish(service, shots, picture, pictures, seed);
    }
  }

  record Extension(long take, double seconds) {}

  record Enlargement(long take) {}

  @GetMapping
  @Transactional(readOnly = true)
  public List<RequestView> all(@PathVariable long productionId) {
    Map<String, ServiceProfile> profiles = new HashMap<>();
    desk.all().forEach(r -> profiles.put(r.profile().name(), r.profile()));
    Map<String, Outlook> outlooks = new HashMap<>();
    Map<Long, String> labels = new HashMap<>();
    shots.findByProductionIdOrderById(productionId).forEach(s -> labels.put(s.id(), s.label()));
    return requests.findByProductionIdOrderById(productionId).stream()
        .map(
            r -> {
              boolean open =
                  r.state() == Request.State.QUEUED || r.state() == Request.State.RUNNING;
              Outlook outlook =
                  open && profiles.containsKey(r.service())
                      ? outlooks.computeIfAbsent(
                          r.service(), name -> queue.outlook(profiles.get(name)))
                      : null;
              Instant end = r.endedAt() == null ? Instant.now() : r.endedAt();
              return new RequestView(
                  r.id(),
                  r.shotId(),
                  labels.getOrDefault(r.shotId(), ""),
                  r.service(),
                  r.kind(),
                  r.prompt(),
                  r.seed(),
                  r.seconds(),
                  r.move(),
                  r.cost(),
                  r.state(),
                  r.message(),
                  outlook != null && r.state() == Request.State.QUEUED ? outlook.before(r) : 0,
                  outlook != null ? outlook.secondsLeft(r) : 0,
                  Duration.between(r.askedAt(), end).toMillis() / 1000.0);
            })
        .toList();
  }

  @PostMapping
  Asking.Asked make(@PathVariable long productionId, @RequestBody NewRequests asked) {
    return asking.make(productionId, asked.wish());
  }

  /** What the same would cost; nothing is asked. */
  @PostMapping("/estimate")
  Asking.Estimate estimate(@PathVariable long productionId, @RequestBody NewRequests asked) {
    return asking.estimate(productionId, asked.wish());
  }

  @PostMapping("/extend")
  Asking.Asked extend(@PathVariable long productionId, @RequestBody Extension asked) {
    return asking.extend(productionId, asked.take(), asked.seconds());
  }

  /** What the same would cost; nothing is asked. */
  @PostMapping("/extend/estimate")
  Asking.Estimate estimateExtension(@PathVariable long productionId, @RequestBody Extension asked) {
    return asking.estimateExtension(productionId, asked.take(), asked.seconds());
  }

  @PostMapping("/enlarge")
  Asking.Asked enlarge(@PathVariable long productionId, @RequestBody Enlargement asked) {
    return asking.enlarge(productionId, asked.take());
  }

  /** What the same would cost; nothing is asked. */
  @PostMapping("/enlarge/estimate")
  Asking.Estimate estimateEnlargement(
      @PathVariable long productionId, @RequestBody Enlargement asked) {
    return asking.estimateEnlargement(productionId, asked.take());
  }

  @PostMapping("/{id}/cancel")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void cancel(@PathVariable long productionId, @PathVariable long id) {
    asking.cancel(productionId, id);
  }

  @PostMapping("/{id}/again")
  Asking.Asked again(@PathVariable long productionId, @PathVariable long id) {
    return asking.askAgain(productionId, id);
  }

  /** Asks once more for all that failed. */
  @PostMapping("/again")
  Asking.Asked againForFailed(@PathVariable long productionId) {
    return asking.askAgainForFailed(productionId);
  }

  @GetMapping("/ledger")
  Ledger.Page ledger(@PathVariable long productionId) {
    return ledger.of(productionId);
  }
}
