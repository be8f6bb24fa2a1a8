package app.latethistle.server.config;

/** A change was made to something that has changed since, and does not go together with that. */
public final class StaleRevision extends RuntimeException {
  private StaleRevision(String sentence) {
    super(sentence);
  }

  /**
   * What it was is not known any more.
   *
   * @param what was changed: "film" or "story"
   */
  public static StaleRevision of(String what) {
    return new StaleRevision(
        "This "
            + what
            + " was changed in another window. It is shown here as it is now; your last change was"
            + " not made, so make it again if you still want it.");
  }

  /**
   * Both changes touch the same.
   *
   * @param mine what was to be done
   * @param meanwhile what happened, in words
   */
  public static StaleRevision meeting(String mine, String meanwhile) {
    return new StaleRevision(
        "Another window changed the same meanwhile ("
            + meanwhile
            + "), so “"
            + mine
            + "” was not done.");
  }
}
