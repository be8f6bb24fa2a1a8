package app.latethistle.core.film;

import java.util.ArrayList;
import java.util.List;

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
    if (sound != null && !sound.id().equals(id)) {
      throw new IllegalArgumentException("The item is named " + sound.id() + ", not " + id + ".");
    }
  }

  @Override
  public Film apply(Film film) {
    List<FilmSound> items = new ArrayList<>(film.sounds());
    boolean there = items.removeIf(item -> item.id().equals(id));
    if (sound == null && !there) {
      throw new IllegalArgumentException("There is no sound " + id + " in the film.");
    }
    if (sound != null) {
      items.add(sound);
    }
    return film.withSounds(items);
  }

  @Override
  public Edit inverse(Film before) {
    return new Lend(
        id, before.sounds().stream().filter(i -> i.id().equals(id)).findFirst().orElse(null));
  }

  @Override
  public String label() {
    return sound == null ? "take a sound out" : "detach a sound";
  }
}
