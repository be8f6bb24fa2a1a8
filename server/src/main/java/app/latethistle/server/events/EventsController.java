package app.latethistle.server.events;

import app.latethistle.server.master.Master;
import app.latethistle.server.master.Masters;
import app.latethistle.server.material.Song;
import app.latethistle.server.material.Songs;
import app.latethistle.server.material.State;
import app.latethistle.server.material.TakeEntry;
import app.latethistle.server.material.Takes;
import app.latethistle.server.production.Production;
import app.latethistle.server.production.Productions;
import app.latethistle.server.services.Request;
import app.latethistle.server.services.Requests;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.http.MediaType;
import org.springframework.scheduling.annotation.EnableScheduling;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * Tells each open page what goes on in its production. The database is asked a few times a second
 * while anybody listens, so that work done by another process is told too.
 */
@RestController
@EnableScheduling
class EventsController {
  private final Productions productions;
  private final Takes takes;
  private final Songs songs;
  private final Masters masters;
  private final Requests requests;
  private final Map<SseEmitter, Listener> listeners = new ConcurrentHashMap<>();

  EventsController(
      Productions productions, Takes takes, Songs songs, Masters masters, Requests requests) {
    this.productions = productions;
    this.takes = takes;
    this.songs = songs;
    this.masters = masters;
    this.requests = requests;
  }

  /** What is worked on in the background. */
  enum Kind {
    CLIPS,
    MEASURING,
    ASKED,
    SONG,
    MASTER
  }

  /** Something in the background: what, and how much of it is done, 0 to 1. */
  record Work(Kind kind, String what, double done) {}

  /**
   * The state of a production.
   *
   * @param revision of the film
   * @param material changes whenever a take, song or refusal does
   * @param masters changes whenever a master changes its state
   * @param requests changes whenever a request to a service does
   */
  record Pulse(long revision, long material, long masters, long requests, List<Work> work) {}

  /** The state of a production, as it is told. */
  record Told(long production, Pulse pulse) {}

  /** What a page listens to, and what it was told last of each production. */
  private static final class Listener {
    private final Set<Long> productions;
    private final Map<Long, Pulse> told = new HashMap<>();

    Listener(Set<Long> productions) {
      this.productions = productions;
    }
  }

  /** Tells of productions from now on, first of each as it is; of one that is gone, nothing. */
  @ApiResponse(
      responseCode = "200",
      content = @Content(schema = @Schema(implementation = Told.class)))
  @GetMapping(path = "/api/events", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
  SseEmitter listen(@RequestParam Set<Long> productions) {
    SseEmitter emitter = new SseEmitter(0L);
    emitter.onCompletion(() -> listeners.remove(emitter));
    emitter.onError(e -> listeners.remove(emitter));
    listeners.put(emitter, new Listener(productions));
    return emitter;
  }

  @Scheduled(fixedDelay = 350)
  void tell() {
    Map<Long, Optional<Pulse>> pulses = new HashMap<>();
    listeners.forEach(
        (emitter, listener) -> {
          for (long id : listener.productions) {
            Optional<Pulse> pulse = pulses.computeIfAbsent(id, this::pulse);
            if (pulse.isPresent() && !pulse.get().equals(listener.told.put(id, pulse.get()))) {
              send(emitter, new Told(id, pulse.get()));
            }
          }
        });
  }

  /** Keeps connections open and finds closed ones. */
  @Scheduled(fixedDelay = 15_000)
  void keepAlive() {
    listeners.keySet().forEach(emitter -> send(emitter, null));
  }

  private void send(SseEmitter emitter, Told told) {
    try {
      emitter.send(
          told == null
              ? SseEmitter.event().comment("here")
              : SseEmitter.event().name("pulse").data(told, MediaType.APPLICATION_JSON));
    } catch (IOException | IllegalStateException e) {
      listeners.remove(emitter);
      emitter.complete();
    }
  }

  private Optional<Pulse> pulse(long productionId) {
    Optional<Production> production = productions.findById(productionId);
    if (production.isEmpty()) {
      return Optional.empty();
    }
    List<Work> work = new ArrayList<>();
    long material = 17;
    int preparing = 0;
    double prepared = 0;
    int measuring = 0;
    double measured = 0;
    for (TakeEntry take : takes.findByProductionIdOrderById(productionId)) {
      boolean known = take.isMeasured();
      material =
          mix(
              material,
              take.id(),
              take.shotId(),
              take.number(),
              take.state().name().hashCode(),
              known ? 1 : 0,
              take.isRejected() ? 1 : 0);
      if (take.state() == State.READY && !known && !take.isPlaceholder()) {
        measuring++;
        measured +=
            Math.min(
                1, (double) take.measuredFrames() / Math.max(1, take.medium().facts().frames()));
      }
      if (take.state() == State.PREPARING) {
        preparing++;
        prepared += Math.min(1, (double) take.framesDone() / Math.max(1, take.frames()));
      }
    }
    if (preparing > 0) {
      String what = "Preparing " + preparing + (preparing == 1 ? " clip" : " clips");
      work.add(new Work(Kind.CLIPS, what, prepared / preparing));
    }
    if (measuring > 0) {
      String what = "Measuring " + measuring + (measuring == 1 ? " take" : " takes");
      work.add(new Work(Kind.MEASURING, what, measured / measuring));
    }
    long asked = 17;
    int open = 0;
    for (Request request : requests.findByProductionIdOrderById(productionId)) {
      asked = mix(asked, request.id(), request.state().name().hashCode());
      open +=
          request.state() == Request.State.QUEUED || request.state() == Request.State.RUNNING
              ? 1
              : 0;
    }
    if (open > 0) {
      work.add(new Work(Kind.ASKED, open + (open == 1 ? " request" : " requests") + " open", 0));
    }
    for (Song song : songs.findByProductionIdOrderById(productionId)) {
      material = mix(material, song.id(), song.state().name().hashCode(), song.correctionsMark());
      if (song.state() == State.PREPARING) {
        work.add(new Work(Kind.SONG, "Listening to " + song.title(), song.listened()));
      }
    }
    long made = 17;
    for (Master master : masters.findByProductionIdOrderByIdDesc(productionId)) {
      made = mix(made, master.id(), master.state().name().hashCode());
      if (master.state() == Master.State.RENDERING) {
        double done = (double) master.framesDone() / Math.max(1, master.frames());
        work.add(new Work(Kind.MASTER, "Rendering " + master.name(), done));
      } else if (master.state() == Master.State.CHECKING) {
        work.add(new Work(Kind.MASTER, "Checking " + master.name(), 1));
      } else if (master.state() == Master.State.WAITING) {
        work.add(new Work(Kind.MASTER, master.name() + " is waiting", 0));
      }
    }
    return Optional.of(new Pulse(production.get().revision(), material, made, asked, work));
  }

  private static long mix(long hash, long... values) {
    long mixed = hash;
    for (long value : values) {
      mixed = (31 * mixed + value) & 0xFFFFFFFFFFFFL;
    }
    return mixed;
  }
}
