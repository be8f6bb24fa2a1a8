package app.latethistle.core.look;

import java.util.Collections;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * A take's framing in the shape the film is cut in, and in other shapes where it is another.
 *
 * @param own in the film's own shape, and in every other that is not said
 * @param others in other shapes
 */
public record ShapedFraming(Framing own, SortedMap<Shape, Framing> others) {
  /** Copies the map. */
  public ShapedFraming {
    others = Collections.unmodifiableSortedMap(new TreeMap<>(others));
  }

  /** The same framing in every shape. */
  public static ShapedFraming of(Framing framing) {
    return new ShapedFraming(framing, Collections.emptySortedMap());
  }

  /** The framing in a shape. */
  public Framing in(Shape shape) {
    return others.getOrDefault(shape, own);
  }

  /** In every shape the part of its move that belongs to a part of its shot. */
  public ShapedFraming part(double start, double end) {
    Map<Shape, Framing> parts = new TreeMap<>();
    others.forEach((shape, framing) -> parts.put(shape, framing.part(start, end)));
    return new ShapedFraming(own.part(start, end), new TreeMap<>(parts));
  }

  /** The same with another framing in the film's own shape. */
  public ShapedFraming withOwn(Framing framing) {
    return new ShapedFraming(framing, others);
  }

  /** The same with a framing of its own in a shape. */
  public ShapedFraming with(Shape shape, Framing framing) {
    Map<Shape, Framing> more = new TreeMap<>(others);
    more.put(shape, framing);
    return new ShapedFraming(own, new TreeMap<>(more));
  }
}
