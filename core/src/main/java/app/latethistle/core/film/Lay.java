package app.latethistle.core.film;

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
    Items.check(overlay, Overlay::name, id);
  }

  @Override
  public Film apply(Film film) {
    return film.withOverlays(Items.with(film.overlays(), Overlay::name, id, overlay, "overlay"));
  }

  @Override
  public Edit inverse(Film before) {
    return new Lay(id, before.overlay(id).orElse(null));
  }

  @Override
  public String label() {
    return overlay == null ? "take an overlay out" : "lay a shot over";
  }
}
