package app.latethistle.server.film;

import app.latethistle.core.look.Key;
import app.latethistle.document.Colour;

/**
 * A backing colour that is taken out, as the page shows and sets it; see {@link Key} for its units.
 *
 * @param colour as #rrggbb
 */
record KeyView(String colour, int tolerance, int softness, int spill, int shadow) {
  static KeyView of(Key key) {
    return new KeyView(
        new Colour(key.colour()).text(),
        key.tolerance(),
        key.softness(),
        key.spill(),
        key.shadow());
  }

  /**
   * As the film keeps it.
   *
   * @throws IllegalArgumentException if a value is out of its range
   */
  Key key() {
    return new Key(Passing.rgb(colour), tolerance, softness, spill, shadow);
  }
}
