package app.latethistle.server.film;

import app.latethistle.core.grade.Drift;
import app.latethistle.core.look.Correction;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;

/**
 * How alike the film's shots look.
 *
 * @param revision of the film
 * @param key the id of the key shot in the film; null if none is chosen
 * @param still the still that shots are to look like in place of a key shot; null if none
 * @param close up to which distance shots look alike, in CIEDE2000
 * @param groups names of those there are
 * @param shots in the order they are seen, gaps left out, then what lies over the cut
 * @param finish what is done to the picture of the whole film
 * @param clipped in percent of the shots' pixels, what the finish makes black or white that was
 *     neither
 */
record LookView(
    long revision,
    @Schema(nullable = true) String key,
    @Schema(nullable = true) KeyStill still,
    double close,
    List<String> groups,
    List<LookShot> shots,
    List<TreatmentView> finish,
    double clipped) {

  /**
   * A still that was brought in.
   *
   * @param picture by which it is known
   * @param name of its file
   */
  record KeyStill(String picture, String name) {}

  /** Which shot others are to look like. */
  enum KeyOf {
    NONE,
    GROUP,
    FILM
  }

  /**
   * A shot's colour.
   *
   * @param item its id in the film
   * @param layer 0 for the cut, above it what lies over it
   * @param frame of the film, in its middle
   * @param place where it is, in the story's words; "" if it does not say
   * @param group the name of its group; null if it belongs to the rest of the film
   * @param keyOf what it is the key shot of
   * @param levelled by how many percent its light is made even
   * @param before how far it is from the key shot of its own as it came; null without one
   * @param now how far as it is corrected
   * @param clipped in percent of its pixels, what its correction makes black or white that was
   *     neither
   */
  record LookShot(
      String item,
      String label,
      String title,
      int layer,
      long frame,
      String place,
      @Schema(nullable = true) String group,
      KeyOf keyOf,
      int levelled,
      Correction correction,
      @Schema(nullable = true) Drift before,
      @Schema(nullable = true) Drift now,
      double clipped) {}
}
