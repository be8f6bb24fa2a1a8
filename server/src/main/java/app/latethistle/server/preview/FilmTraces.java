package app.latethistle.server.preview;

import app.latethistle.core.check.PictureTrace;
import app.latethistle.core.render.Compositor;
import app.latethistle.core.render.Program;
import app.latethistle.core.render.Segment;
import app.latethistle.core.render.Segmentation;
import app.latethistle.core.time.FrameRange;
import app.latethistle.server.film.FilmState;
import app.latethistle.server.material.Kept;
import app.latethistle.server.material.Pictures;
import java.io.IOException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * Reads a film's pictures for the checks, segment by segment: what was read of a segment is kept,
 * so that after an edit only what has changed is drawn again.
 */
@Component
public class FilmTraces {
  private static final int LONG_SIDE = 320;

  /** Segments of some films of ten minutes. */
  private static final int KEPT = 1200;

  private final Pictures pictures;
  private final Kept<String, PictureTrace> known = new Kept<>(KEPT);

  FilmTraces(Pictures pictures) {
    this.pictures = pictures;
  }

  /**
   * How far the reading is.
   *
   * @param trace of the whole film; empty while some of it has not been read
   * @param black ranges that may be black
   * @param done segments
   * @param of so many
   */
  public record Reading(Optional<PictureTrace> trace, List<FrameRange> black, int done, int of) {}

  /** Reads on, for so long at most or a segment. */
  public Reading read(FilmState state, Duration patience) throws IOException {
    Program program = PreviewService.program(state, LONG_SIDE);
    List<Segment> segments = Segmentation.PREVIEW.of(program);
    long until = System.nanoTime() + patience.toNanos();
    List<PictureTrace> parts = new ArrayList<>();
    boolean worked = false;
    for (Segment segment : segments) {
      Optional<PictureTrace> part = known.get(segment.key());
      if (part.isEmpty() && (!worked || System.nanoTime() < until)) {
        worked = true;
        part = Optional.of(trace(program, segment));
        known.put(segment.key(), part.get());
      }
      part.ifPresent(parts::add);
    }
    boolean whole = !segments.isEmpty() && parts.size() == segments.size();
    return new Reading(
        whole ? Optional.of(PictureTrace.joined(parts)) : Optional.empty(),
        program.plannedBlack(),
        parts.size(),
        segments.size());
  }

  private PictureTrace trace(Program program, Segment segment) throws IOException {
    PictureTrace.Reader reader = new PictureTrace.Reader(program.rate());
    new Compositor(program, pictures.at(program.rate())).draw(segment.range(), reader::add);
    return reader.trace();
  }
}
