package app.latethistle.server.film;

import app.latethistle.core.film.Narration;
import app.latethistle.core.mix.FilmMix;
import app.latethistle.core.time.SampleRange;
import app.latethistle.server.material.Medium;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A line of the script with the reading that is used of it.
 *
 * @param medium the reading's file; null if it is not read yet
 * @param cuts what tightening leaves out, in samples of the reading
 * @param loudness of the reading, in LUFS
 * @param shots ids of the shots that it speaks of
 */
public record ReadLine(
    Narration.Line line,
    Medium medium,
    List<SampleRange> cuts,
    double loudness,
    Set<String> shots) {
  /** Copies what it is given. */
  public ReadLine {
    cuts = List.copyOf(cuts);
    shots = Set.copyOf(shots);
  }

  /** What is heard of it; nothing if it is not read yet. */
  Optional<FilmMix.Reading> heard() {
    return Optional.ofNullable(medium).map(m -> new FilmMix.Reading(m.hash(), cuts, loudness));
  }
}
