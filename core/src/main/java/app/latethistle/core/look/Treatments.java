package app.latethistle.core.look;

/** What is done to a picture beside its correction, in order. There is none yet. */
public record Treatments() {
  /** The picture as it came. */
  public static final Treatments NONE = new Treatments();
}
