package app.latethistle.core.film;

import app.latethistle.core.Refused;
import java.util.LinkedHashSet;
import java.util.Optional;
import java.util.Set;

/** The sounds and titles that a sound or a title lands on, or ends on, itself or through others. */
public final class LandedOn {
  private final Film film;
  private final Set<String> found = new LinkedHashSet<>();

  private LandedOn(Film film) {
    this.film = film;
  }

  /** Their ids, the nearest first. */
  public static Set<String> of(Film film, String id) {
    LandedOn on = new LandedOn(film);
    on.follow(id);
    return Set.copyOf(on.found);
  }

  /**
   * Sees to it that something may land and end on these.
   *
   * @param until what it ends on, if that is said
   * @throws IllegalArgumentException if it would do so on itself, which has no moment
   */
  public static void free(Film film, String id, Tie at, Optional<Tie> until) {
    free(film, id, at);
    until.ifPresent(tie -> free(film, id, tie));
  }

  private static void free(Film film, String id, Tie tie) {
    if (tie instanceof Tie.OnItem on && (on.id().equals(id) || of(film, on.id()).contains(id))) {
      throw new Refused(
          "What that is tied to lands on this one itself; tie this one to something else.");
    }
  }

  private void follow(String id) {
    film.sound(id)
        .ifPresent(
            sound -> {
              follow(sound.when().at());
              sound.when().until().ifPresent(this::follow);
            });
    film.title(id)
        .ifPresent(
            title -> {
              follow(title.when().lands());
              title.when().until().ifPresent(this::follow);
            });
  }

  private void follow(Tie tie) {
    if (tie instanceof Tie.OnItem on && isLanded(on) && found.add(on.id())) {
      follow(on.id());
    }
  }

  private static boolean isLanded(Tie.OnItem on) {
    return on.kind() == Tie.OnItem.Kind.SOUND || on.kind() == Tie.OnItem.Kind.TITLE;
  }
}
