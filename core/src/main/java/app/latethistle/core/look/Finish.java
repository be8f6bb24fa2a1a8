package app.latethistle.core.look;

/**
 * What lies over the whole film.
 *
 * @param treatments what is done to its picture, before it ends
 * @param end how its pictures, and its sound with them, end
 */
public record Finish(Treatments treatments, EndFade end) {
  /** Nothing. */
  public static final Finish NONE = new Finish(Treatments.NONE, EndFade.NONE);

  /** The same with other treatments. */
  public Finish withTreatments(Treatments other) {
    return new Finish(other, end);
  }

  /** The same with another end. */
  public Finish withEnd(EndFade other) {
    return new Finish(treatments, other);
  }
}
