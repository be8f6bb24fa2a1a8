package app.latethistle.core.look;

/**
 * How a take's picture meets the film's in one shape.
 *
 * @param fit what is done where their shapes differ
 */
public record Framing(Fit fit) {
  /** The whole clip, with bars beside it. */
  public static final Framing FIT = new Framing(Fit.FIT);

  /** The whole picture, with the clip's edges cropped. */
  public static final Framing FILL = new Framing(Fit.FILL);

  /** The whole clip over a soft picture of itself. */
  public static final Framing SOFT = new Framing(Fit.SOFT);
}
