package app.latethistle.core.look;

import java.util.Optional;

/**
 * How a take's picture meets the film's in one shape.
 *
 * @param fit what is done where their shapes differ
 * @param path how the camera moves over it; only where it fills the picture
 */
public record Framing(Fit fit, Optional<FramingPath> path) {
  /** The whole clip, with bars beside it. */
  public static final Framing FIT = new Framing(Fit.FIT);

  /** The whole picture, with the clip's edges cropped. */
  public static final Framing FILL = new Framing(Fit.FILL);

  /** The whole clip over a soft picture of itself. */
  public static final Framing SOFT = new Framing(Fit.SOFT);

  /** A framing that does not move. */
  public Framing(Fit fit) {
    this(fit, Optional.empty());
  }

  /** A move over a take that fills the picture. */
  public static Framing along(FramingPath path) {
    return new Framing(Fit.FILL, Optional.of(path));
  }

  /** The same, with the part of its move that belongs to a part of its shot. */
  public Framing part(double start, double end) {
    return new Framing(fit, path.map(p -> p.part(start, end)));
  }
}
