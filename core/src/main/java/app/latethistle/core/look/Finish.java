package app.latethistle.core.look;

/**
 * What holds for the pictures of the whole film.
 *
 * @param treatments what is done to its picture, before it ends
 * @param end how its pictures, and its sound with them, end
 * @param key the shot that all others are to look like, by its id; empty if none
 */
public record Finish(Treatments treatments, EndFade end, String key) {
  /** Nothing. */
  public static final Finish NONE = new Finish(Treatments.NONE, EndFade.NONE, "");

  /** The same with other treatments. */
  public Finish withTreatments(Treatments other) {
    return new Finish(other, end, key);
  }

  /** The same with another end. */
  public Finish withEnd(EndFade other) {
    return new Finish(treatments, other, key);
  }

  /** The same with another key shot. */
  public Finish withKey(String other) {
    return new Finish(treatments, end, other);
  }
}
