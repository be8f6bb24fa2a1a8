package app.latethistle.server.film;

import app.latethistle.core.look.Basics;

/** A correction's five numbers, as the page shows and sets them; see {@link Basics}. */
public record BasicsView(int exposure, int contrast, int warmth, int tint, int saturation) {
  static BasicsView of(Basics basics) {
    return new BasicsView(
        basics.exposure(), basics.contrast(), basics.warmth(), basics.tint(), basics.saturation());
  }

  /**
   * As the film keeps them.
   *
   * @throws IllegalArgumentException if one is out of its range
   */
  public Basics basics() {
    return new Basics(exposure, contrast, warmth, tint, saturation);
  }
}
