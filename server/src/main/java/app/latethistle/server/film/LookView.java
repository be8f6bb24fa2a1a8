package app.latethistle.server.film;

import app.latethistle.core.grade.Drift;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;

/**
 * How alike the film's shots look.
 *
 * @param revision of the film
 * @param key the id of the key shot in the film; null if none is chosen
 * @param close up to which distance shots look alike, in CIEDE2000
 * @param shots in the order they are seen, gaps left out
 */
record LookView(
    long revision, @Schema(nullable = true) String key, double close, List<LookShot> shots) {
  /**
   * A shot's colour.
   *
   * @param item its id in the film
   * @param frame of the film, in its middle
   * @param before how far it is from the key shot as it came; null without one
   * @param now how far as it is corrected
   * @param more whether more than the five numbers is done to it
   */
  record LookShot(
      String item,
      String label,
      String title,
      long frame,
      BasicsView correction,
      boolean more,
      @Schema(nullable = true) Drift before,
      @Schema(nullable = true) Drift now) {}
}
