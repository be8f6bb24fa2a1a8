package app.latethistle.core.film;

/**
 * Between which frames a cut may be moved, by what moves with it. Inside them no shot loses its
 * last frame and none is asked for pictures before its take begins. Past a take's end there is no
 * limit: its last picture is held, and that is told.
 *
 * @param least the first frame it may be moved to
 * @param most the last, or {@link #OPEN}
 */
public record Limits(long least, long most) {
  /** No limit. */
  public static final long OPEN = Long.MAX_VALUE;

  /** For a cut that only takes time from one side and gives it to the other. */
  public static Limits trim(Resolved film, int joint) {
    long least = joint == 0 ? 0 : film.frame(joint - 1) + 1;
    return new Limits(least, isEnd(film, joint) ? OPEN : film.frame(joint + 1) - 1);
  }

  /** For {@link Trims#roll}. */
  public static Limits roll(Resolved film, int joint) {
    Limits trim = trim(film, joint);
    long here = film.frame(joint);
    return new Limits(here - spare(film, joint, here - trim.least()), trim.most());
  }

  /** For {@link Trims#rippleEnd}. */
  public static Limits rippleEnd(Resolved film, int place) {
    return new Limits(film.frame(place) + 1, OPEN);
  }

  /** For {@link Trims#rippleStart}. */
  public static Limits rippleStart(Resolved film, int place) {
    long here = film.frame(place);
    return new Limits(here - spare(film, place, here), film.frame(place + 1) - 1);
  }

  /** For {@link Trims#slide}: where the shot's start may go. */
  public static Limits slide(Resolved film, int place) {
    long here = film.frame(place);
    long back = spare(film, place + 1, here - film.frame(place - 1) - 1);
    return new Limits(here - back, here + film.frame(place + 2) - film.frame(place + 1) - 1);
  }

  private static boolean isEnd(Resolved film, int joint) {
    return joint == film.film().placements().size();
  }

  /** How many frames a shot can be shown before its first one, at most so many. */
  private static long spare(Resolved film, int place, long most) {
    return film.film().placementAt(place).hasPicture() ? film.spareBefore(place, most) : most;
  }
}
