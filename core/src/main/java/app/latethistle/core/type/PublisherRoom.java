package app.latethistle.core.type;

import app.latethistle.core.look.Shape;
import java.awt.geom.Rectangle2D;
import java.util.List;

/**
 * Where an end card is left free for what its publisher lays over it: two films to go on with, and
 * a sign to follow the channel by. Sizes and places are common practice, no source.
 */
public final class PublisherRoom {
  private static final List<Rectangle2D> WIDE =
      List.of(
          new Rectangle2D.Double(0.09, 0.36, 0.36, 0.36),
          new Rectangle2D.Double(0.55, 0.36, 0.36, 0.36),
          new Rectangle2D.Double(0.455, 0.76, 0.09, 0.16));

  private PublisherRoom() {}

  /** In parts of the picture's sides; none in upright pictures, over which none of it is laid. */
  public static List<Rectangle2D> of(Shape shape) {
    return shape.across() < shape.down() ? List.of() : WIDE;
  }
}
