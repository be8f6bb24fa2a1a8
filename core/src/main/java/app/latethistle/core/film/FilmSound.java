package app.latethistle.core.film;

import app.latethistle.core.sound.Manner;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.SampleRange;

/**
 * A sound beside the cut.
 *
 * @param id names it among the film's sounds
 * @param what is heard of which file
 * @param when it lands
 * @param how it is heard
 */
public record FilmSound(String id, SoundMaterial what, Landing when, Manner how) {
  /** The same landing otherwise. */
  public FilmSound withLanding(Landing other) {
    return new FilmSound(id, what, other, how);
  }

  /** The same heard otherwise. */
  public FilmSound withManner(Manner other) {
    return new FilmSound(id, what, when, other);
  }

  /** The same place for another sound. */
  public FilmSound withMaterial(SoundMaterial other) {
    return new FilmSound(id, other, when, how);
  }

  /** The samples from its first to the one that lands, as it runs. */
  long lead(FrameRate rate) {
    SampleRange heard = what.heard(rate);
    long lands = what.lands(rate);
    return how.time().samples(how.time().reversed() ? heard.end() - lands : lands - heard.start());
  }
}
