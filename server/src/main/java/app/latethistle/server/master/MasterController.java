package app.latethistle.server.master;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Tie;
import app.latethistle.core.mix.Limiter;
import app.latethistle.core.mix.LoudnessAim;
import app.latethistle.core.release.Encoding;
import app.latethistle.core.release.NamePattern;
import app.latethistle.core.release.Output;
import app.latethistle.core.release.Quality;
import app.latethistle.core.time.FrameRate;
import app.latethistle.media.MasterRender;
import app.latethistle.server.config.Attachment;
import app.latethistle.server.config.Missing;
import app.latethistle.server.film.FilmService;
import app.latethistle.server.film.OtherShape;
import io.swagger.v3.oas.annotations.media.Schema;
import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.HttpStatus;
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
  private final Placing placing;

  MasterController(
      Masters masters, FilmService films, MasterOrders orders, MasterEnds ends, Placing placing) {
    this.masters = masters;
    this.films = films;
    this.orders = orders;
    this.ends = ends;
    this.placing = placing;
  }

  /** How large the picture is to be. */
  enum Size {
    /** As the production. */
    PRODUCTION,
    /** The shorter side 1080. */
    HD_1080,
    /** The shorter side 720. */
    HD_720;

    Optional<Integer> lines() {
      return switch (this) {
        case PRODUCTION -> Optional.empty();
        case HD_1080 -> Optional.of(1080);
        case HD_720 -> Optional.of(720);
      };
    }
  }

  /**
   * What is ordered.
   *
   * @param shape such as "9:16", or null for the film's own
   * @param rate frames a second, or null for the film's own
   * @param from the first frame of the film that is in it, or null for its first
   * @param to the frame after the last, or null for its end
   * @param loudness what its sound is to measure, in LUFS; null for as it is mixed
   * @param peak the ceiling of its true peaks in dBTP; null for -1
   */
  record NewMaster(
      String name,
      Size size,
      @Schema(nullable = true) String shape,
      String rate,
      Quality quality,
      @Schema(nullable = true) Long from,
      @Schema(nullable = true) Long to,
      @Schema(nullable = true) Double loudness,
      @Schema(nullable = true) Double peak) {
    /** The output it is. */
    Output output() {
      return new Output(
          new NamePattern(name),
          Encoding.MP4,
          quality,
          Optional.empty(),
          new Output.Pictures(
              Optional.ofNullable(shape).map(OtherShape::parse),
              size.lines(),
              Optional.ofNullable(rate).map(FrameRate::parse),
              Optional.empty()),
          new Output.Part(
              Optional.ofNullable(from).map(Tie::free),
              Optional.ofNullable(to).map(Tie::free),
              Optional.empty()),
          Optional.ofNullable(loudness)
              .map(aim -> new LoudnessAim(aim, peak == null ? Limiter.CEILING : peak)),
          /* ticked= */ true);
    }
  }

  /**
   * A master.
   *
   * @param framesWritten how many are in its file, where they are encoded once more when drawn
   * @param secondsLeft the time left by the speed so far, or null before that is known
   */
  record MasterView(
      long id,
      String name,
      @Schema(nullable = true) Long output,
      Encoding encoding,
      int width,
      int height,
      String rate,
      Quality quality,
      long frames,
      long framesDone,
      long framesWritten,
      Master.State state,
      @Schema(nullable = true) String message,
      @Schema(nullable = true) Long bytes,
      @Schema(nullable = true) Double secondsLeft,
      Instant createdAt) {
    static MasterView of(Master m) {
      return new MasterView(
          m.id(),
          m.name(),
          m.outputId(),
          m.encoding(),
          m.width(),
          m.height(),
          m.rate().toString(),
          m.quality(),
          m.frames(),
          m.framesDone(),
          m.framesWritten(),
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
    return MasterView.of(
        placing.place(Ordering.of(asked.output(), films.state(productionId)), Optional.empty()));
  }

  /** Stops a render; the segments it made are kept. */
  @PostMapping("/{id}/cancel")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void cancel(@PathVariable long productionId, @PathVariable long id) {
    masters.get(productionId, id);
    ends.end(id, Master.State.CANCELLED, "Cancelled; what was rendered is kept.", null);
  }

  /** Renders a master before all others that wait; what is being rendered is rendered first. */
  @PostMapping("/{id}/first")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void first(@PathVariable long productionId, @PathVariable long id) {
    if (!masters.get(productionId, id).state().isOpen()) {
      throw new Refused("It is not waiting any more.");
    }
    placing.first(id);
  }

  @GetMapping("/{id}/file")
  ResponseEntity<Resource> file(@PathVariable long productionId, @PathVariable long id)
      throws IOException {
    Master master = masters.get(productionId, id);
    if (master.bytes() == null) {
      throw new Missing("Master '" + master.name() + "' has no file yet.");
    }
    Encoding encoding = master.encoding();
    return Attachment.answer(master.name(), encoding.suffix(), type(encoding))
        .body(new FileSystemResource(orders.fileOf(master)));
  }

  private static String type(Encoding encoding) {
    return switch (encoding) {
      case MP4, MP4_HEVC -> "video/mp4";
      case WEBM_VP9, WEBM_AV1 -> "video/webm";
      case MOV_422 -> "video/quicktime";
      case GIF -> "image/gif";
      case WEBP -> "image/webp";
      case STILL -> "image/png";
      case PNG, CAPTIONS -> "application/zip";
      case WAV -> "audio/wav";
      case FLAC -> "audio/flac";
      case MP3 -> "audio/mpeg";
      case OPUS -> "audio/ogg";
    };
  }

  /** Where the pictures of a master's segments begin, and which are made. */
  @GetMapping("/{id}/segments")
  List<SegmentView> segments(@PathVariable long productionId, @PathVariable long id) {
    Master master = masters.get(productionId, id);
    if (!master.encoding().hasPictures()) {
      return List.of();
    }
    MasterRender render = orders.render(master);
    Set<Integer> mine = placing.madeFor(master);
    return render.segments().stream()
        .map(
            segment ->
                new SegmentView(
                    segment.range().start(),
                    segment.range().length(),
                    render.isMade(segment),
                    mine.contains(segment.index())))
        .toList();
  }

  /**
   * A segment of a master.
   *
   * @param start its first frame, of the master's
   * @param made whether it is there
   * @param mine whether it was made for this master, and not kept from another
   */
  record SegmentView(long start, long frames, boolean made, boolean mine) {}
}
