package app.latethistle.server.material;

import app.latethistle.core.measure.MoveVerdict;
import app.latethistle.core.measure.Travel;
import app.latethistle.core.take.Box;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;

/**
 * What was measured of a take. Spans and frames are in seconds of the take.
 *
 * @param repeated pictures that repeat the one before
 * @param move measured, in the trade's words
 * @param verdict how it agrees with the move the story asks for; empty if it asks for none
 * @param motion how far the picture moves over time, 24 values, 0 to 1 of the take's greatest
 * @param softest where it is least sharp, in seconds
 * @param troubles what is wrong, in words, the gravest first
 */
record FactsView(
    double rate,
    double realRate,
    int repeated,
    List<Stretch> frozen,
    List<Stretch> black,
    List<Stretch> flicker,
    List<Double> jumps,
    List<Stretch> warps,
    double sharpness,
    double softest,
    List<Double> motion,
    Travel travel,
    String move,
    double movePercent,
    @Schema(nullable = true) MoveVerdict verdict,
    List<Box> marks,
    Stretch usable,
    List<String> troubles) {
  /** A part of a take, in seconds. */
  record Stretch(double from, double to) {}
}
