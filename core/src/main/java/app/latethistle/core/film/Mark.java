package app.latethistle.core.film;

/**
 * Sets a marker, changes one, or takes it away.
 *
 * @param id its name
 * @param marker how it is to be; null takes it away
 */
public record Mark(String id, Marker marker) implements Edit {
  /**
   * @throws IllegalArgumentException if it has another name
   */
  public Mark {
    Items.check(marker, Marker::id, id);
  }

  @Override
  public Film apply(Film film) {
    return film.withMarkers(Items.with(film.markers(), Marker::id, id, marker, "marker"));
  }

  @Override
  public Edit inverse(Film before) {
    return new Mark(id, before.marker(id).orElse(null));
  }

  @Override
  public String label() {
    return marker == null ? "take a marker out" : "set a marker";
  }
}
