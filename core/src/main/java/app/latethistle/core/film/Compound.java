package app.latethistle.core.film;

import app.latethistle.core.Refused;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.function.BiFunction;

/**
 * Edits done as one, in order.
 *
 * @param label what they do together
 * @param edits each fits the film that those before it leave
 */
public record Compound(String label, List<Edit> edits) implements Edit {
  public Compound {
    edits = List.copyOf(edits);
  }

  /** As few as can be: the one itself if there is only one. */
  static Edit of(Edit first, List<Edit> others) {
    if (others.isEmpty()) {
      return first;
    }
    List<Edit> all = new ArrayList<>(List.of(first));
    all.addAll(others);
    return new Compound(first.label(), all);
  }

  /**
   * The same edit at many items, one after the other.
   *
   * @param ids of the items
   * @param edit worked out on the film as the edits before have left it
   * @throws IllegalArgumentException if there is no item
   */
  public static Edit each(
      Resolved film, List<String> ids, BiFunction<Resolved, String, Edit> edit) {
    List<String> order = ids.stream().distinct().toList();
    if (order.isEmpty()) {
      throw new Refused("No shot was chosen; choose one first.");
    }
    List<Edit> edits = new ArrayList<>();
    Resolved now = film;
    for (String id : order) {
      Edit one = edit.apply(now, id);
      edits.add(one);
      now = order.size() == 1 ? now : now.with(one.apply(now.film()));
    }
    return of(edits.get(0), edits.subList(1, edits.size()));
  }

  @Override
  public Film apply(Film film) {
    Film now = film;
    for (Edit edit : edits) {
      now = edit.apply(now);
    }
    return now;
  }

  @Override
  public Edit inverse(Film before) {
    List<Edit> back = new ArrayList<>();
    Film now = before;
    for (Edit edit : edits) {
      back.add(edit.inverse(now));
      now = edit.apply(now);
    }
    Collections.reverse(back);
    return new Compound(label, back);
  }
}
