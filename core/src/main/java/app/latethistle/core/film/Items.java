package app.latethistle.core.film;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/** Items of a film that have names, such as its overlays, in lists. */
final class Items {
  private Items() {}

  /** The one of a name. */
  static <T> Optional<T> named(List<T> items, Function<T, String> name, String wanted) {
    return items.stream().filter(item -> name.apply(item).equals(wanted)).findFirst();
  }

  /**
   * The items with another in place of the one of a name, or beside them if there is none.
   *
   * @param item what comes; null takes the one of that name away
   * @param kind what it is called in sentences
   * @throws IllegalArgumentException if there is none to take away
   */
  static <T> List<T> with(
      List<T> items, Function<T, String> name, String wanted, T item, String kind) {
    List<T> changed = new ArrayList<>(items);
    boolean there = changed.removeIf(i -> name.apply(i).equals(wanted));
    if (item == null && !there) {
      throw new IllegalArgumentException("There is no " + kind + " " + wanted + " in the film.");
    }
    if (item != null) {
      changed.add(item);
    }
    return changed;
  }

  /**
   * Looks whether an item, if there is one, has the name it goes by.
   *
   * @throws IllegalArgumentException if it has another
   */
  static <T> void check(T item, Function<T, String> name, String wanted) {
    if (item != null && !name.apply(item).equals(wanted)) {
      throw new IllegalArgumentException(
          "The item is named " + name.apply(item) + ", not " + wanted + ".");
    }
  }
}
