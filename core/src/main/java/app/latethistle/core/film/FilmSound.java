package app.latethistle.core.film;

import app.latethistle.core.sound.Manner;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.SampleRange;
import java.util.Optional;

/**
 * A sound beside the cut.
 *
 * @param id names it among the film's sounds
 * @param what is heard of which file
 * @param when it lands
 * @param how it is heard
 * @param follows the place it is heard from, from left to right, instead of where the manner says
 */
public record FilmSound(
    String id, SoundMaterial what, Landing when, Manner how, Optional<Following> follows) {
  /** One that is heard from where its manner says. */
  public FilmSound(String id, SoundMaterial what, Landing when, Manner how) {
    this(id, what, when, how, Optional.empty());
  }

  /** The same landing otherwise. */
  public FilmSound withLanding(Landing other) {
    return new FilmSound(id, what, other, how, follows);
  }

  /** The same heard otherwise. */
  public FilmSound withManner(Manner other) {
    return new FilmSound(id, what, when, other, follows);
  }

  /** The same place for another sound. */
  public FilmSound withMaterial(SoundMaterial other) {
    return new FilmSound(id, other, when, how, follows);
  }

  /** The same going with another place. */
  public FilmSound withFollowing(Optional<Following> other) {
    return new FilmSound(id, what, when, how, other);
  }

  /** The samples from its first to the one that lands, as it runs. */
  long lead(FrameRate rate) {
    SampleRange heard = what.heard(rate);
    long lands = what.lands(rate);
    return how.time().samples(how.time().reversed() ? heard.end() - lands : lands - heard.start());
  }
}
