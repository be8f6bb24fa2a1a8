package app.latethistle.core.film;

import app.latethistle.core.Refused;
import app.latethistle.core.look.Finish;
import app.latethistle.core.look.Treatment;
import app.latethistle.core.look.Treatments;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Edits of what is done to pictures: of shots, of what lies over the cut, of the whole film. */
public final class Treating {
  /** What the whole film is called where items are named. */
  public static final String WHOLE_FILM = "";

  private Treating() {}

  /** The tables of colours that a film's treatments look up in, by the SHA-256 of their files. */
  public static Set<String> tables(Film film) {
    return Stream.of(
            film.placements().stream().map(p -> p.how().treatments()),
            film.overlays().stream().map(o -> o.placement().how().treatments()),
            Stream.of(film.finish().treatments()))
        .flatMap(all -> all)
        .flatMap(all -> tables(all).stream())
        .collect(Collectors.toCollection(TreeSet::new));
  }

  /** The tables that treatments look up in. */
  public static Set<String> tables(Treatments treatments) {
    return treatments.list().stream()
        .map(Treatment::table)
        .filter(table -> !table.isEmpty())
        .collect(Collectors.toCollection(TreeSet::new));
  }

  /**
   * Has something else done to the pictures of items.
   *
   * @param items ids of shots and of what lies over the cut, or "" for the whole film
   * @param change from what is done to what is to be done
   * @throws IllegalArgumentException if there are none, or one is not in the film any more
   */
  public static Edit set(Film film, List<String> items, UnaryOperator<Treatments> change) {
    List<Edit> edits = new ArrayList<>();
    Map<String, Treatments> shots = new LinkedHashMap<>();
    for (String id : items) {
      if (id.equals(WHOLE_FILM)) {
        Finish finish = film.finish();
        Finish after = finish.withTreatments(change.apply(finish.treatments()));
        edits.add(SetAspect.of(Aspect.FINISH, WHOLE_FILM, after));
      } else {
        Placement shot = ItemKind.PLACEMENT.get(film, id);
        shots.put(id, change.apply(shot.how().treatments()));
      }
    }
    if (!shots.isEmpty()) {
      edits.add(SetAspect.of(Aspect.TREATMENTS, shots));
    }
    if (edits.isEmpty()) {
      throw new Refused("Choose a shot first, or the whole film.");
    }
    return new Compound(Aspect.TREATMENTS.label(), edits);
  }
}
