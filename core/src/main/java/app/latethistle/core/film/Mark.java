package app.latethistle.core.film;

import java.util.ArrayList;
import java.util.List;

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
    if (marker != null && !marker.id().equals(id)) {
      throw new IllegalArgumentException("The item is named " + marker.id() + ", not " + id + ".");
    }
  }

  @Override
  public Film apply(Film film) {
    List<Marker> items = new ArrayList<>(film.markers());
    boolean there = items.removeIf(item -> item.id().equals(id));
    if (marker == null && !there) {
      throw new IllegalArgumentException("There is no marker " + id + " in the film.");
    }
    if (marker != null) {
      items.add(marker);
    }
    return film.withMarkers(items);
  }

  @Override
  public Edit inverse(Film before) {
    return new Mark(
        id, before.markers().stream().filter(i -> i.id().equals(id)).findFirst().orElse(null));
  }

  @Override
  public String label() {
    return marker == null ? "take a marker out" : "set a marker";
  }
}
