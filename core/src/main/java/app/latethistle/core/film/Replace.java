package app.latethistle.core.film;

/**
 * Puts a whole film in place of the old one: what a new first cut does.
 *
 * @param film how it is to be
 * @param label what is done, for the undo button
 */
public record Replace(Film film, String label) implements Edit {
  @Override
  public Film apply(Film before) {
    return film;
  }

  @Override
  public Edit inverse(Film before) {
    return new Replace(before, label);
  }
}
