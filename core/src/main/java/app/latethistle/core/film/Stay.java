package app.latethistle.core.film;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * Shots of the cut that follow each other in one place.
 *
 * @param from the cut with which it begins, by the name of the joint
 * @param to the cut with which it ends
 * @param after whether something is seen before it
 */
public record Stay(String from, String to, boolean after) {

  /**
   * All of them, in order.
   *
   * @param there whether a shot is in the place, by its id among the production's shots
   */
  public static List<Stay> of(Film film, Predicate<String> there) {
    List<Placement> shots = film.placements();
    List<Stay> all = new ArrayList<>();
    int begin = 0;
    for (int i = 0; i <= shots.size(); i++) {
      if (i < shots.size() && shots.get(i).hasPicture() && there.test(shots.get(i).shot())) {
        continue;
      }
      if (i > begin) {
        all.add(new Stay(film.jointName(begin), film.jointName(i), begin > 0));
      }
      begin = i + 1;
    }
    return all;
  }

  /**
   * When a sound is heard that goes through it.
   *
   * @param over samples by which it begins before the cut, so that it crosses over from what was
   *     heard there
   */
  public Landing landing(long over) {
    return new Landing(Tie.onCut(from), after ? -over : 0, Optional.of(Tie.onCut(to)));
  }
}
