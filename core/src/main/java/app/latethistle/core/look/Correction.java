package app.latethistle.core.look;

/** What is done to a picture's colour. Nothing, so far. */
public record Correction() {
  /** The picture as it came. */
  public static final Correction NONE = new Correction();
}
