package app.latethistle.core.film;

/**
 * Puts a clip's sound beside the cut, changes one that is there, or takes it away.
 *
 * @param id its name
 * @param sound how it is to be; null takes it away
 */
public record Lend(String id, FilmSound sound) implements Edit {
  /**
   * @throws IllegalArgumentException if it has another name
   */
  public Lend {
    Items.check(sound, FilmSound::id, id);
  }

  @Override
  public Film apply(Film film) {
    return film.withSounds(Items.with(film.sounds(), FilmSound::id, id, sound, "sound"));
  }

  @Override
  public Edit inverse(Film before) {
    return new Lend(id, before.sound(id).orElse(null));
  }

  @Override
  public String label() {
    return sound == null ? "take a sound out" : "detach a sound";
  }
}
