package app.latethistle.core.words;

import app.latethistle.core.look.Shape;
import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * Where words are seen everywhere, in each shape a film leaves in: what its publishers lay over the
 * picture differs.
 *
 * @param said for shapes whose area is another than the usual one
 */
public record SafeAreas(SortedMap<Shape, SafeArea> said) {
  /** The usual one of each shape. */
  public static final SafeAreas USUAL = new SafeAreas(Collections.emptySortedMap());

  /** Copies the map; what is said as it is usual is not said. */
  public SafeAreas {
    SortedMap<Shape, SafeArea> others = new TreeMap<>();
    for (Map.Entry<Shape, SafeArea> one : said.entrySet()) {
      if (!one.getValue().equals(SafeArea.usual(one.getKey()))) {
        others.put(one.getKey(), one.getValue());
      }
    }
    said = Collections.unmodifiableSortedMap(others);
  }

  /** That of a shape. */
  public SafeArea of(Shape shape) {
    return Optional.ofNullable(said.get(shape)).orElseGet(() -> SafeArea.usual(shape));
  }

  /** The same with another one for a shape. */
  public SafeAreas with(Shape shape, SafeArea area) {
    SortedMap<Shape, SafeArea> others = new TreeMap<>(said);
    others.put(shape, area);
    return new SafeAreas(others);
  }
}
