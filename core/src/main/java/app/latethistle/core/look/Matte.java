package app.latethistle.core.look;

/** What of a picture stays when it is laid over another. All of it, so far. */
public record Matte() {
  /** The picture as it came. */
  public static final Matte NONE = new Matte();
}
