package app.latethistle.server.film;

import app.latethistle.core.film.Narration;
import app.latethistle.core.time.SampleRange;
import app.latethistle.server.material.Medium;
import java.util.List;

/**
 * A line of the script with the reading that is used of it.
 *
 * @param medium the reading's file; null if it is not read yet
 * @param cuts what tightening leaves out, in samples of the reading
 * @param loudness of the reading, in LUFS
 */
public record ReadLine(
    Narration.Line line, Medium medium, List<SampleRange> cuts, double loudness) {}
