package app.latethistle.server.master;

import app.latethistle.core.release.Encoding;
import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.film.FilmState;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;

/** Films that were rendered and that any browser plays. */
@ServerOnly
@Component
public class Finished {
  private static final Set<Encoding> PLAYED =
      Set.of(Encoding.MP4, Encoding.WEBM_VP9, Encoding.WEBM_AV1);

  private final Masters masters;
  private final OutputRows outputs;

  Finished(Masters masters, OutputRows outputs) {
    this.masters = masters;
    this.outputs = outputs;
  }

  /**
   * A rendered film.
   *
   * @param seconds how long it is
   * @param start the film's frame that it begins with, as its output says now
   */
  public record Reel(long id, String name, int width, int height, double seconds, long start) {}

  /** Those of a production, the newest first; of each output the last. */
  public List<Reel> of(long productionId, FilmState state) {
    Set<Long> told = new HashSet<>();
    return masters.findByProductionIdOrderByIdDesc(productionId).stream()
        .filter(m -> m.bytes() != null)
        .filter(m -> m.outputId() == null || told.add(m.outputId()))
        .filter(m -> PLAYED.contains(m.encoding()))
        .map(
            m ->
                new Reel(
                    m.id(),
                    m.name(),
                    m.width(),
                    m.height(),
                    m.rate().secondsOf(m.frames()),
                    start(m, state)))
        .toList();
  }

  private long start(Master master, FilmState state) {
    if (state.film().placements().isEmpty()) {
      return 0;
    }
    return Optional.ofNullable(master.outputId())
        .flatMap(outputs::findById)
        .map(row -> row.output().range(state.resolved()).start())
        .orElse(0L);
  }
}
