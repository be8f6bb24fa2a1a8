package app.latethistle.core.look;

import app.latethistle.core.Refused;
import java.util.ArrayList;
import java.util.List;

/**
 * What is done to a picture beside its correction, in this order.
 *
 * @param list the first is done first
 */
public record Treatments(List<Treatment> list) {
  /** More than anyone tells apart, and what a still can be drawn with in time. */
  public static final int MOST = 8;

  /** The picture as it came. */
  public static final Treatments NONE = new Treatments(List.of());

  /**
   * @throws IllegalArgumentException if there are too many
   */
  public Treatments {
    list = List.copyOf(list);
    if (list.size() > MOST) {
      throw new Refused(
          "A picture has at most " + MOST + " treatments; take one out before adding another.");
    }
  }

  /** These, in this order. */
  public static Treatments of(Treatment... treatments) {
    return new Treatments(List.of(treatments));
  }

  /** Those that are done: not bypassed. */
  public List<Treatment> done() {
    return list.stream().filter(t -> !t.bypassed()).toList();
  }

  /** These and one more after them. */
  public Treatments and(Treatment more) {
    List<Treatment> all = new ArrayList<>(list);
    all.add(more);
    return new Treatments(all);
  }
}
