package app.latethistle.core.film;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * A sound that goes through a place of the film: a bed for each {@link Stay} there, which begins
 * before its cut, so that it crosses over from what was heard before.
 *
 * @param place as the story calls it
 * @param model how a bed of it is heard, and what of which file
 */
public record Ambience(String place, FilmSound model) {
  /** Samples by which a bed begins before its cut: half a second; common practice, no source. */
  public static final long CROSSES = 24_000;

  /**
   * Those of a film, told by the beds that cross over at their cut.
   *
   * @param places where shots are, by their ids among the production's shots
   */
  public static List<Ambience> of(Film film, Map<String, String> places) {
    List<Ambience> all = new ArrayList<>();
    Set<List<Object>> known = new LinkedHashSet<>();
    for (FilmSound sound : film.sounds()) {
      begins(sound)
          .filter(cut -> sound.when().offset() == -CROSSES && sound.when().until().isPresent())
          .flatMap(film::placement)
          .map(shot -> places.getOrDefault(shot.shot(), ""))
          .filter(place -> !place.isEmpty() && known.add(List.of(place, sound.what())))
          .ifPresent(place -> all.add(new Ambience(place, sound)));
    }
    return all;
  }

  /**
   * One that is not heard in all of its place.
   *
   * @param stays those without it, or with it in a part alone; one or more
   */
  public record Astray(Ambience ambience, List<Stay> stays) {}

  /** Those of a film that the cut has left behind. */
  public static List<Astray> astray(Film film, Map<String, String> places) {
    return of(film, places).stream()
        .map(ambience -> new Astray(ambience, ambience.without(film, places)))
        .filter(astray -> !astray.stays.isEmpty())
        .toList();
  }

  /** Where it is to be heard. */
  public List<Stay> stays(Film film, Map<String, String> places) {
    return Stay.of(film, shot -> place.equals(places.get(shot)));
  }

  /** Where it is not heard, or not from the first shot to the last. */
  private List<Stay> without(Film film, Map<String, String> places) {
    return stays(film, places).stream()
        .filter(stay -> beds(film, stay).stream().noneMatch(bed -> bed.when().equals(when(stay))))
        .toList();
  }

  /** Lays it wherever it is not heard in full; empty if that is nowhere. */
  public Optional<Edit> everywhere(Film film, Map<String, String> places) {
    List<Edit> all = new ArrayList<>();
    Film now = film;
    for (Stay stay : without(film, places)) {
      List<FilmSound> beds = beds(film, stay);
      Edit edit =
          beds.isEmpty()
              ? Put.sound(
                  new FilmSound(now.freshId("sound"), model.what(), when(stay), model.how()))
              : SetAspect.of(Aspect.LANDING, beds.get(0).id(), when(stay));
      all.add(edit);
      now = edit.apply(now);
    }
    return all.isEmpty()
        ? Optional.empty()
        : Optional.of(new Compound("lay a sound through a place", all));
  }

  private static Landing when(Stay stay) {
    return stay.landing(CROSSES);
  }

  /** Its beds that begin with a shot of a stay. */
  private List<FilmSound> beds(Film film, Stay stay) {
    int from = film.indexOfJoint(stay.from());
    int to = film.indexOfJoint(stay.to());
    return film.sounds().stream()
        .filter(sound -> sound.what().equals(model.what()))
        .filter(sound -> sound.when().until().isPresent())
        .filter(
            sound ->
                begins(sound)
                    .map(film::indexOfJoint)
                    .filter(joint -> joint >= from && joint < to)
                    .isPresent())
        .toList();
  }

  /** The cut that a sound begins on; empty if it begins elsewhere. */
  private static Optional<String> begins(FilmSound sound) {
    return sound.when().at() instanceof Tie.OnItem on && on.kind() == Tie.OnItem.Kind.CUT
        ? Optional.of(on.id())
        : Optional.empty();
  }
}
