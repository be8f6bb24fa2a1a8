package app.latethistle.server.film;

import app.latethistle.core.Refused;
import app.latethistle.core.film.ClipSound;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Run;
import app.latethistle.core.look.Fit;
import app.latethistle.core.look.Framing;
import app.latethistle.core.take.Take;
import io.swagger.v3.oas.annotations.media.Schema;

/**
 * A shot to be put in.
 *
 * @param length in frames
 */
record Piece(
    long shotId,
    long takeId,
    long in,
    Fit framing,
    @Schema(nullable = true) Speed run,
    @Schema(nullable = true) ClipSound sound,
    long length) {
  /**
   * The shot, with the takes of a film.
   *
   * @param plain without its speed and sound
   */
  Placement placement(FilmState film, boolean plain) {
    Take take = film.takes().get(Long.toString(takeId));
    if (take == null) {
      throw new Refused("A take that was copied is not in this production.");
    }
    if (length < 1) {
      throw new Refused("A shot lasts a frame or more.");
    }
    String shot = Long.toString(shotId);
    Placement placement = Placement.of(shot, take.id(), in, new Framing(framing));
    return plain
        ? placement
        : placement
            .withRun(run == null ? Run.PLAIN : run.run())
            .withSound(sound == null ? ClipSound.OFF : sound);
  }
}
