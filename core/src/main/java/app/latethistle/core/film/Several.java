package app.latethistle.core.film;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * Edits done as one, in order.
 *
 * @param label what they do together
 * @param edits each fits the film that those before it leave
 */
public record Several(String label, List<Edit> edits) implements Edit {
  /** Copies the list. */
  public Several {
    edits = List.copyOf(edits);
  }

  /** As few as can be: the one itself if there is only one. */
  static Edit of(Edit first, List<Edit> others) {
    if (others.isEmpty()) {
      return first;
    }
    List<Edit> all = new ArrayList<>(List.of(first));
    all.addAll(others);
    return new Several(first.label(), all);
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
    return new Several(label, back);
  }
}
