package app.latethistle.core.film;

import app.latethistle.core.Refused;
import app.latethistle.core.look.Transition;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;

/** Edits of how shots become one another; no cut moves and no shot shows another part. */
public final class Joins {
  private Joins() {}

  /**
   * Sets the transition of some joints.
   *
   * @throws IllegalArgumentException if one of them is not between two shots
   */
  public static Edit set(Resolved film, List<Integer> joints, Transition how) {
    Map<String, Transition> values = new LinkedHashMap<>();
    for (int joint : joints) {
      if (joint < 1 || joint >= film.film().placements().size()) {
        throw new Refused(
            "A transition lies between two shots; there are none at joint "
                + joint
                + ". The film's end fades by its own setting.");
      }
      values.put(film.film().jointName(joint), how);
    }
    SetAspect<Joint, Transition> set = SetAspect.of(Aspect.TRANSITION, values);
    return how.isCut() ? set.called("make it a plain cut") : set;
  }

  /**
   * Joints that fall where something else begins in the music: on the borders of its sections and
   * on its breaks, to a frame.
   *
   * @param borders frames of the film
   */
  public static List<Integer> onBorders(Resolved film, Set<Long> borders) {
    return IntStream.range(1, Math.max(1, film.film().placements().size()))
        .filter(joint -> isNear(film.frame(joint), borders))
        .boxed()
        .toList();
  }

  private static boolean isNear(long frame, Set<Long> borders) {
    return borders.contains(frame) || borders.contains(frame - 1) || borders.contains(frame + 1);
  }
}
