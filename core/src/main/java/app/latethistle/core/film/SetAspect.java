package app.latethistle.core.film;

import app.latethistle.core.Refused;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * Sets one aspect of one or many items.
 *
 * @param aspect what is set
 * @param values what it is to be, by the id of the item
 * @param label what is done, for the undo button
 */
public record SetAspect<I, T>(Aspect<I, T> aspect, Map<String, T> values, String label)
    implements Edit {
  /**
   * Copies the map, in its order.
   *
   * @throws IllegalArgumentException if nothing is to be set
   */
  public SetAspect {
    values = Collections.unmodifiableMap(new LinkedHashMap<>(values));
    if (values.isEmpty()) {
      throw new Refused("Nothing was chosen; choose a shot first.");
    }
  }

  /** Sets an aspect of one item. */
  public static <I, T> SetAspect<I, T> of(Aspect<I, T> aspect, String id, T value) {
    return of(aspect, Map.of(id, value));
  }

  /** Sets an aspect of items. */
  public static <I, T> SetAspect<I, T> of(Aspect<I, T> aspect, Map<String, T> values) {
    return new SetAspect<>(aspect, values, aspect.label());
  }

  /** The same called otherwise. */
  public SetAspect<I, T> called(String other) {
    return new SetAspect<>(aspect, values, other);
  }

  @Override
  public Film apply(Film film) {
    Film now = film;
    for (Map.Entry<String, T> value : values.entrySet()) {
      String id = value.getKey();
      boolean start = aspect == Aspect.TIE && film.indexOfJoint(id) == 0;
      if (start) {
        throw new Refused("The film's start stays where it is.");
      }
      I item = aspect.kind().get(now, id);
      now = aspect.kind().with(now, id, aspect.with(item, value.getValue()));
    }
    return now;
  }

  @Override
  public Edit inverse(Film before) {
    Map<String, T> old = new LinkedHashMap<>();
    values.keySet().forEach(id -> old.put(id, aspect.of(aspect.kind().get(before, id))));
    return new SetAspect<>(aspect, old, label);
  }
}
