package app.latethistle.core.film;

import java.util.ArrayList;
import java.util.List;

/**
 * Edits that move the ends of shots. What each does to the film's length:
 *
 * <table>
 * <caption>Lengths</caption>
 * <tr><td>roll, slide</td><td>stays</td></tr>
 * <tr><td>ripple an end</td><td>changes by as much as the end moves</td></tr>
 * <tr><td>ripple a start</td><td>changes by as much as the start moves, the other way</td></tr>
 * </table>
 *
 * Where a ripple is one of whole beats, later cuts keep to theirs, and the length changes by as
 * many beats.
 */
public final class Trims {
  private Trims() {}

  /**
   * Moves the end of a shot and all that follows with it.
   *
   * @param place the shot whose end moves
   * @throws IllegalArgumentException if nothing would be left of the shot
   */
  public static Edit rippleEnd(Resolved film, int place, Tie to) {
    film.range(place);
    int joint = place + 1;
    keepsAFrame(place, film.frameOrRefuse(to) - film.frame(place));
    Shift shift = between(film, joint, to, joint);
    List<Tie> ties = shift.joints(film, joint);
    ties.set(0, to);
    Recut recut = Recut.joints(Recut.Kind.RIPPLE, joint, ties);
    return Several.of(recut, shift.beside(film, film.frame(joint)));
  }

  /**
   * Cuts off a shot's first frames, or shows more before them; all that follows its start moves.
   *
   * @param to where the shot's new first frame lies now
   * @throws IllegalArgumentException if nothing would be left, or its take has too little before
   */
  public static Edit rippleStart(Resolved film, int place, Tie to) {
    long n = film.range(place).length();
    long by = film.frameOrRefuse(to) - film.frame(place);
    keepsAFrame(place, n - by);
    Placement later = later(film, place, by);
    Shift there = between(film, place, to, place + 1);
    Shift shift = new Shift(-there.frames(), -there.beats());
    List<Tie> ties = shift.joints(film, place + 1);
    Recut recut =
        new Recut(Recut.Kind.RIPPLE, place, 1, List.of(later), place + 1, ties.size(), ties);
    return Several.of(recut, shift.beside(film, film.frame(place) + 1));
  }

  /**
   * Moves a cut with the pictures on both sides staying where they are.
   *
   * @param joint a cut, not the film's start or end
   */
  public static Edit roll(Resolved film, int joint, Tie to) {
    isACut(film, joint);
    long by = film.frameOrRefuse(to) - film.frame(joint);
    keepsAFrame(joint - 1, film.range(joint - 1).length() + by);
    keepsAFrame(joint, film.range(joint).length() - by);
    return new Recut(
        Recut.Kind.ROLL,
        joint - 1,
        2,
        List.of(ending(film, joint - 1, by), later(film, joint, by)),
        joint,
        1,
        List.of(to));
  }

  /**
   * Moves a shot between its neighbours, who give and take the time; what it shows stays.
   *
   * @param to where its start goes
   */
  public static Edit slide(Resolved film, int place, Tie to) {
    isACut(film, place);
    isACut(film, place + 1);
    long by = film.frameOrRefuse(to) - film.frame(place);
    keepsAFrame(place - 1, film.range(place - 1).length() + by);
    keepsAFrame(place + 1, film.range(place + 1).length() - by);
    Shift shift = between(film, place, to, place + 1);
    List<Tie> ties = new ArrayList<>(shift.joints(film, place).subList(0, 2));
    ties.set(0, to);
    // Whole beats are not all as long: a shot that slides keeps its length to the frame.
    long end = film.frame(place + 1) + by;
    ties.set(1, film.frameOf(ties.get(1)).orElse(-1) == end ? ties.get(1) : film.tieAt(end));
    return new Recut(
        Recut.Kind.SLIDE,
        place - 1,
        3,
        List.of(
            ending(film, place - 1, by),
            film.film().placementAt(place),
            later(film, place + 1, by)),
        place,
        2,
        ties);
  }

  private static Shift between(Resolved film, int joint, Tie to, int moving) {
    Tie from = film.honours(joint) ? film.film().joints().get(joint) : Tie.free(film.frame(joint));
    return Shift.between(film, from, to, moving);
  }

  private static Placement ending(Resolved film, int place, long by) {
    long n = film.range(place).length();
    return film.film().placementAt(place).endingSooner(-by, n);
  }

  private static Placement later(Resolved film, int place, long by) {
    Placement shot = film.film().placementAt(place);
    long n = film.range(place).length();
    if (by < 0 && shot.run().way() == Run.Way.FORWARD && shot.hasPicture()) {
      long before = (long) Math.floor(shot.in() * 100.0 / shot.run().from());
      if (before < -by) {
        throw new IllegalArgumentException(
            Resolved.named(place)
                + " has "
                + before
                + " f before its first used frame, and "
                + -by
                + " are asked for.");
      }
    }
    return shot.startingLater(by, n);
  }

  private static void isACut(Resolved film, int joint) {
    if (joint < 1 || joint >= film.film().placements().size()) {
      throw new IllegalArgumentException(
          "There are no two shots at cut " + joint + "; the film's start and end stay.");
    }
  }

  private static void keepsAFrame(int place, long length) {
    if (length < 1) {
      throw new IllegalArgumentException(
          "Nothing would be left of shot " + (place + 1) + " of the film; leave it a frame.");
    }
  }
}
