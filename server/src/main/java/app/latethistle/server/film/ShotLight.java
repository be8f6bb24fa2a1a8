package app.latethistle.server.film;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Placement;
import app.latethistle.core.look.Levelling;
import app.latethistle.core.measure.Light;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRange;
import app.latethistle.server.material.Kept;
import app.latethistle.server.material.Pictures;
import java.util.List;
import java.util.stream.LongStream;
import org.springframework.stereotype.Component;

/** How the light changes through what shots show of their takes. */
@Component
class ShotLight {
  /** Shots whose light is kept; a second's takes 1 kB. */
  private static final int KEPT = 200;

  private final Pictures pictures;
  private final Kept<String, List<Light>> kept = new Kept<>(KEPT);

  ShotLight(Pictures pictures) {
    this.pictures = pictures;
  }

  /**
   * The light of what a shot shows of its take, and of a second before and after it, which a
   * transition or a slip may show.
   *
   * @throws IllegalArgumentException if it shows no take, or more of it than is levelled
   */
  Levelling of(FilmState state, Placement shot, int strength) {
    Take take = state.takes().get(shot.take());
    if (take == null) {
      throw new Refused("A shot without a take has no light to level.");
    }
    FrameRange shown = state.resolved().shown(shot.id());
    long second = Math.round(state.production().rate().perSecond());
    FrameRange measured =
        new FrameRange(
            Math.max(0, shown.start() - second), Math.min(take.frames(), shown.end() + second));
    if (measured.isEmpty() || measured.length() > Levelling.MOST) {
      throw new Refused(
          "The light of a shot is levelled over at most "
              + Levelling.MOST
              + " frames of its take; this one shows "
              + shown.length()
              + ".");
    }
    String key = take.media() + " " + state.production().rate() + " " + measured;
    List<Light> lights =
        kept.get(key)
            .orElseGet(
                () -> {
                  List<Light> read =
                      pictures.light(take.media(), state.production().rate(), measured);
                  kept.put(key, read);
                  return read;
                });
    return new Levelling(take.media(), measured.start(), lights, strength);
  }

  /** The light of each frame of a film's shot as it came, in the order in which they are shown. */
  List<Light> shown(FilmState state, Placement shot) {
    Levelling measured = of(state, shot, /* strength= */ 0);
    long material = state.takes().get(shot.take()).frames();
    long length = state.resolved().rangeOf(shot.id()).length();
    return LongStream.range(0, length)
        .mapToObj(k -> measured.light(shot.run().frame(shot.in(), material, k, length)))
        .toList();
  }
}
