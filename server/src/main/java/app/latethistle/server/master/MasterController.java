package app.latethistle.server.master;

import app.latethistle.core.Refused;
import app.latethistle.core.look.Shape;
import app.latethistle.core.render.Program;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.SampleRange;
import app.latethistle.media.Quality;
import app.latethistle.server.config.Attachment;
import app.latethistle.server.config.Missing;
import app.latethistle.server.film.FilmService;
import app.latethistle.server.film.FilmState;
import app.latethistle.server.film.OtherShape;
import app.latethistle.server.jobs.Job;
import app.latethistle.server.jobs.Jobs;
import app.latethistle.server.stored.StoredOrder;
import io.swagger.v3.oas.annotations.media.Schema;
import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
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
   * @param shape such as "9:16", or null for the film's own
   * @param rate frames a second, or null for the film's own
   * @param from the first frame of the film that is in it, or null for its first
   * @param to the frame after the last, or null for its end
   */
  record NewMaster(
      String name,
      Size size,
      @Schema(nullable = true) String shape,
      String rate,
      Quality quality,
      @Schema(nullable = true) Long from,
      @Schema(nullable = true) Long to) {}

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
    PictureShape film = state.production().shape();
    Shape shape =
        asked.shape() == null
            ? Shape.of(film.width(), film.height())
            : OtherShape.parse(asked.shape());
    PictureShape size = OtherShape.size(shape, film, shorter(asked.size(), film));
    FrameRate filmRate = state.production().rate();
    FrameRate rate = asked.rate() == null ? filmRate : FrameRate.parse(asked.rate());
    FrameRange part = part(asked, state.cutting().length());
    Program whole = state.program(shape, size.width(), size.height());
    SampleRange heard =
        new SampleRange(filmRate.sampleOf(part.start()), filmRate.sampleOf(part.end()));
    StoredOrder order = new StoredOrder(whole.part(part).at(rate), state.mix().part(heard));
    Master master = masters.save(new Master(productionId, name, order, asked.quality()));
    jobs.enqueue(renderMaster, master.id());
    return MasterView.of(master);
  }

  private static int shorter(Size size, PictureShape film) {
    return switch (size) {
      case PRODUCTION -> Math.min(film.width(), film.height());
      case HD_1080 -> 1080;
      case HD_720 -> 720;
    };
  }

  /** The frames of the film that are asked for. */
  private static FrameRange part(NewMaster asked, long length) {
    long from = asked.from() == null ? 0 : asked.from();
    long to = asked.to() == null ? length : asked.to();
    if (from < 0 || to > length || from >= to) {
      throw new Refused(
          "A part of the film is from frame 0 to "
              + length
              + " at most and begins before it ends, not "
              + from
              + " to "
              + to
              + ".");
    }
    return new FrameRange(from, to);
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
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType("video/mp4"))
        .header(HttpHeaders.CONTENT_DISPOSITION, Attachment.named(master.name(), ".mp4"))
        .body(new FileSystemResource(orders.fileOf(id)));
  }
}
