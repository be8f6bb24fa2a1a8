package app.latethistle.core.film;

import java.util.ArrayList;
import java.util.List;

/**
 * Puts other placements and other joints where some are: what every edit of the cut comes down to
 * that touches more than one shot. What is to be put in is worked out before, on the resolved film,
 * by {@link Trims} and {@link Places}.
 *
 * @param kind what it is called
 * @param place the first placement concerned, from 0
 * @param without how many placements go
 * @param placements what comes in their place
 * @param joint the first joint concerned, from 0
 * @param withoutJoints how many joints go
 * @param joints what comes in their place
 */
public record Recut(
    Kind kind,
    int place,
    int without,
    List<Placement> placements,
    int joint,
    int withoutJoints,
    List<Tie> joints)
    implements Edit {

  /** What a cut is changed by. */
  public enum Kind {
    RIPPLE("ripple a cut"),
    ROLL("roll a cut"),
    SLIDE("slide a shot"),
    SPLIT("split a shot"),
    INSERT("insert a shot"),
    TAKE_OUT("take out, closing the gap"),
    LEAVE_GAP("take out, leaving a gap"),
    CARRY("move with its time"),
    PASTE("paste"),
    STRETCH("stretch to the speed"),
    GROUP("group shots");

    private final String label;

    Kind(String label) {
      this.label = label;
    }
  }

  /** Copies the lists. */
  public Recut {
    placements = List.copyOf(placements);
    joints = List.copyOf(joints);
  }

  /** A change of joints alone, from one joint on. */
  static Recut joints(Kind kind, int joint, List<Tie> ties) {
    return new Recut(kind, 0, 0, List.of(), joint, ties.size(), ties);
  }

  @Override
  public Film apply(Film film) {
    return film.withCut(
        spliced(film.placements(), place, without, placements),
        spliced(film.joints(), joint, withoutJoints, joints));
  }

  @Override
  public Edit inverse(Film before) {
    return new Recut(
        kind,
        place,
        placements.size(),
        before.placements().subList(place, place + without),
        joint,
        joints.size(),
        before.joints().subList(joint, joint + withoutJoints));
  }

  @Override
  public String label() {
    return kind.label;
  }

  private static <T> List<T> spliced(List<T> list, int from, int without, List<T> with) {
    if (from < 0 || without < 0 || from + without > list.size()) {
      throw new IllegalArgumentException(
          "The film has "
              + list.size()
              + " items here; there is no item "
              + (from + without)
              + ".");
    }
    List<T> copy = new ArrayList<>(list);
    copy.subList(from, from + without).clear();
    copy.addAll(from, with);
    return copy;
  }
}
