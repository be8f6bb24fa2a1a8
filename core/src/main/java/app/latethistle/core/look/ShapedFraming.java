package app.latethistle.core.look;

import app.latethistle.core.take.PictureShape;
import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * A take's framing in the shape the film is cut in, and in other shapes.
 *
 * @param own in the film's own shape
 * @param others in shapes for which it is said
 * @param focus what is to be seen in all shapes for which nothing is said
 */
public record ShapedFraming(Framing own, SortedMap<Shape, Framing> others, Optional<Focus> focus) {
  private static final int WHOLE = 1000;

  /** Copies the map. */
  public ShapedFraming {
    others = Collections.unmodifiableSortedMap(new TreeMap<>(others));
  }

  /** The same framing in every shape. */
  public static ShapedFraming of(Framing framing) {
    return new ShapedFraming(framing, Collections.emptySortedMap(), Optional.empty());
  }

  /**
   * The framing in a shape.
   *
   * @param other the shape, if it is another than the film's own
   * @param clip the take's picture
   */
  public Framing in(Optional<Shape> other, PictureShape clip) {
    return other.map(shape -> in(shape, clip)).orElse(own);
  }

  /**
   * The framing in another shape than the film's own: what is said for it, else cropped about the
   * focus with the least loss; where the shape cannot hold what matters, the whole take over a soft
   * one of itself.
   *
   * @param clip the take's picture
   */
  public Framing in(Shape shape, PictureShape clip) {
    Framing said = others.get(shape);
    if (said != null || own.fit() != Fit.FILL || focus.isEmpty()) {
      return said != null ? said : own;
    }
    Focus kept = focus.get();
    Window most = Window.of(View.WHOLE, clip, (double) shape.across() / shape.down());
    boolean holds =
        most.width() / (clip.width() * clip.pixelAspect()) * WHOLE >= kept.across()
            && most.height() / clip.height() * WHOLE >= kept.down();
    return holds
        ? Framing.along(
            own.path().map(kept::alongWith).orElseGet(() -> kept.followedBy(View.WHOLE)))
        : Framing.SOFT;
  }

  /** In every shape the part of its move that belongs to a part of its shot. */
  public ShapedFraming part(double start, double end) {
    Map<Shape, Framing> parts = new TreeMap<>();
    others.forEach((shape, framing) -> parts.put(shape, framing.part(start, end)));
    return new ShapedFraming(
        own.part(start, end), new TreeMap<>(parts), focus.map(f -> f.part(start, end)));
  }

  /** The same with another framing in the film's own shape. */
  public ShapedFraming withOwn(Framing framing) {
    return new ShapedFraming(framing, others, focus);
  }

  /** The same with a framing of its own in a shape. */
  public ShapedFraming with(Shape shape, Framing framing) {
    Map<Shape, Framing> more = new TreeMap<>(others);
    more.put(shape, framing);
    return new ShapedFraming(own, new TreeMap<>(more), focus);
  }

  /** The same with nothing said for a shape. */
  public ShapedFraming without(Shape shape) {
    Map<Shape, Framing> fewer = new TreeMap<>(others);
    fewer.remove(shape);
    return new ShapedFraming(own, new TreeMap<>(fewer), focus);
  }

  /** The same with another focus. */
  public ShapedFraming withFocus(Optional<Focus> other) {
    return new ShapedFraming(own, others, other);
  }
}
