package app.latethistle.server.config;

/** A change was made to something that has changed since. */
public final class StaleRevision extends RuntimeException {
  /**
   * @param what was changed: "film" or "story"
   */
  public StaleRevision(String what) {
    super(
        "This "
            + what
            + " was changed in another window. It is shown here as it is now; your last change was"
            + " not made, so make it again if you still want it.");
  }
}
