package app.latethistle.core.film;

import java.util.ArrayList;
import java.util.List;

/**
 * Lays a shot over the cut, changes one that lies there, or takes it away.
 *
 * @param id its name
 * @param overlay how it is to be; null takes it away
 */
public record Lay(String id, Overlay overlay) implements Edit {
  /**
   * @throws IllegalArgumentException if it has another name
   */
  public Lay {
    if (overlay != null && !overlay.name().equals(id)) {
      throw new IllegalArgumentException(
          "The item is named " + overlay.name() + ", not " + id + ".");
    }
  }

  @Override
  public Film apply(Film film) {
    List<Overlay> items = new ArrayList<>(film.overlays());
    boolean there = items.removeIf(item -> item.name().equals(id));
    if (overlay == null && !there) {
      throw new IllegalArgumentException("There is no overlay " + id + " in the film.");
    }
    if (overlay != null) {
      items.add(overlay);
    }
    return film.withOverlays(items);
  }

  @Override
  public Edit inverse(Film before) {
    return new Lay(
        id, before.overlays().stream().filter(i -> i.name().equals(id)).findFirst().orElse(null));
  }

  @Override
  public String label() {
    return overlay == null ? "take an overlay out" : "lay a shot over";
  }
}
