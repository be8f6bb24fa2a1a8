package app.latethistle.core.words;

import app.latethistle.core.look.Shape;
import java.util.Collections;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * Where words stand in the film's own shape, and in others.
 *
 * @param own in the film's shape, and where nothing else is said
 * @param others in shapes for which it is said
 */
public record ShapedBox(Box own, SortedMap<Shape, Box> others) {
  /** Copies the map. */
  public ShapedBox {
    others = Collections.unmodifiableSortedMap(new TreeMap<>(others));
  }

  /** The same place in every shape. */
  public static ShapedBox of(Box own) {
    return new ShapedBox(own, Collections.emptySortedMap());
  }

  /** The place in another shape than the film's own. */
  public Box in(Shape shape) {
    return others.getOrDefault(shape, own);
  }

  /** The same with another place in the film's own shape. */
  public ShapedBox withOwn(Box other) {
    return new ShapedBox(other, others);
  }

  /** The same with a place of its own in a shape. */
  public ShapedBox with(Shape shape, Box box) {
    Map<Shape, Box> more = new TreeMap<>(others);
    more.put(shape, box);
    return new ShapedBox(own, new TreeMap<>(more));
  }
}
