package app.latethistle.server.master;

import app.latethistle.core.Refused;
import app.latethistle.core.render.Program;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.time.FrameRate;
import app.latethistle.media.Quality;
import app.latethistle.server.config.Missing;
import app.latethistle.server.film.FilmService;
import app.latethistle.server.film.FilmState;
import app.latethistle.server.jobs.Job;
import app.latethistle.server.jobs.Jobs;
import app.latethistle.server.stored.StoredOrder;
import io.swagger.v3.oas.annotations.media.Schema;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Masters ordered, watched, cancelled and downloaded. */
@RestController
@RequestMapping("/api/productions/{productionId}/masters")
class MasterController {
  private final Masters masters;
  private final FilmService films;
  private final MasterOrders orders;
  private final MasterEnds ends;
  private final Jobs jobs;
  private final Job renderMaster;

  MasterController(
      Masters masters,
      FilmService films,
      MasterOrders orders,
      MasterEnds ends,
      Jobs jobs,
      @Qualifier("render-master") Job renderMaster) {
    this.masters = masters;
    this.films = films;
    this.orders = orders;
    this.ends = ends;
    this.jobs = jobs;
    this.renderMaster = renderMaster;
  }

  /** How large the picture is to be. */
  enum Size {
    /** As the production. */
    PRODUCTION,
    /** The shorter side 1080. */
    HD_1080,
    /** The shorter side 720. */
    HD_720
  }

  /**
   * What is ordered.
   *
   * @param rate frames a second, or null for the film's own
   */
  record NewMaster(String name, Size size, String rate, Quality quality) {}

  /**
   * A master.
   *
   * @param secondsLeft the time left by the speed so far, or null before that is known
   */
  record MasterView(
      long id,
      String name,
      int width,
      int height,
      String rate,
      Quality quality,
      long frames,
      long framesDone,
      Master.State state,
      @Schema(nullable = true) String message,
      @Schema(nullable = true) Long bytes,
      @Schema(nullable = true) Double secondsLeft,
      Instant createdAt) {
    static MasterView of(Master m) {
      return new MasterView(
          m.id(),
          m.name(),
          m.width(),
          m.height(),
          m.rate().toString(),
          m.quality(),
          m.frames(),
          m.framesDone(),
          m.state(),
          m.message(),
          m.bytes(),
          secondsLeft(m),
          m.createdAt());
    }

    private static Double secondsLeft(Master m) {
      if (m.state() != Master.State.RENDERING || m.framesDone() < 24) {
        return null;
      }
      double took = Duration.between(m.startedAt(), Instant.now()).toMillis() / 1000.0;
      return took / m.framesDone() * (m.frames() - m.framesDone());
    }
  }

  @GetMapping
  List<MasterView> all(@PathVariable long productionId) {
    return masters.findByProductionIdOrderByIdDesc(productionId).stream()
        .map(MasterView::of)
        .toList();
  }

  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  @Transactional
  public MasterView order(@PathVariable long productionId, @RequestBody NewMaster asked) {
    FilmState state = films.state(productionId);
    if (state.film().placements().isEmpty()) {
      throw new Refused("The film is empty; make the first cut in Score.");
    }
    String name = asked.name() == null ? "" : asked.name().strip();
    if (name.isEmpty() || name.length() > 120) {
      throw new Refused("Give the master a name of up to 120 letters.");
    }
    PictureShape shape = size(asked.size(), state.production().shape());
    FrameRate rate =
        asked.rate() == null ? state.production().rate() : FrameRate.parse(asked.rate());
    Program program = state.program(shape.width(), shape.height()).at(rate);
    StoredOrder order = new StoredOrder(program, state.mix());
    Master master = masters.save(new Master(productionId, name, order, asked.quality()));
    jobs.enqueue(renderMaster, master.id());
    return MasterView.of(master);
  }

  private static PictureShape size(Size size, PictureShape film) {
    int side = size == Size.HD_1080 ? 1080 : 720;
    if (size == Size.PRODUCTION) {
      return film;
    }
    double scale = (double) side / Math.min(film.width(), film.height());
    return PictureShape.of(
        (int) Math.round(film.width() * scale / 2) * 2,
        (int) Math.round(film.height() * scale / 2) * 2);
  }

  /** Stops a render; the segments it made are kept. */
  @PostMapping("/{id}/cancel")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void cancel(@PathVariable long productionId, @PathVariable long id) {
    masters.get(productionId, id);
    ends.end(id, Master.State.CANCELLED, "Cancelled; what was rendered is kept.", null);
  }

  @GetMapping("/{id}/file")
  ResponseEntity<Resource> file(@PathVariable long productionId, @PathVariable long id)
      throws IOException {
    Master master = masters.get(productionId, id);
    if (master.bytes() == null) {
      throw new Missing("Master '" + master.name() + "' has no file yet.");
    }
    String name = master.name().replaceAll("[\\\\/:*?\"<>|\\p{Cntrl}]", "_") + ".mp4";
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType("video/mp4"))
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment()
                .filename(name, StandardCharsets.UTF_8)
                .build()
                .toString())
        .body(new FileSystemResource(orders.fileOf(id)));
  }
}
