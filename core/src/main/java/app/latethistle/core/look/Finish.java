package app.latethistle.core.look;

/**
 * What lies over the whole film.
 *
 * @param end how its pictures, and its sound with them, end
 */
public record Finish(EndFade end) {
  /** Nothing. */
  public static final Finish NONE = new Finish(EndFade.NONE);
}
