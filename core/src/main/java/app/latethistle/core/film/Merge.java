package app.latethistle.core.film;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * Brings two changes of one film together, item by item: what only one side changed is taken from
 * it. There is no film of both if both changed the same item in different ways, if both changed
 * which shots follow each other, or if one changed what the other took away.
 */
public final class Merge {
  private final Film base;
  private final Film mine;
  private final Film theirs;
  private boolean conflict;

  private Merge(Film base, Film mine, Film theirs) {
    this.base = base;
    this.mine = mine;
    this.theirs = theirs;
  }

  /** The film with both changes; empty if they do not go together. */
  public static Optional<Film> of(Film base, Film mine, Film theirs) {
    Merge merge = new Merge(base, mine, theirs);
    Film film = merge.both();
    return merge.conflict ? Optional.empty() : Optional.of(film);
  }

  private Film both() {
    List<String> order = pick(ids(base), ids(mine), ids(theirs));
    Map<String, Placement> placements = items(Film::placements, Placement::id);
    Map<Neighbours, Tie> joints = pickAll(joints(base), joints(mine), joints(theirs));
    if (conflict || order == null) {
      return null;
    }
    List<Placement> cut = new ArrayList<>();
    for (String id : order) {
      cut.add(placements.remove(id));
    }
    List<Tie> ties = new ArrayList<>();
    for (Neighbours place : neighbours(order)) {
      ties.add(joints.remove(place));
    }
    // What is left over, one side changed or made and the other took its place in the order away.
    conflict |= cut.contains(null) || ties.contains(null);
    conflict |= !placements.isEmpty() || !joints.isEmpty();
    SongUse song = pick(base.song(), mine.song(), theirs.song());
    if (conflict) {
      return null;
    }
    return new Film(
        cut,
        ties,
        song,
        List.copyOf(items(Film::overlays, Overlay::name).values()),
        List.copyOf(items(Film::sounds, FilmSound::id).values()),
        List.copyOf(items(Film::markers, Marker::id).values()));
  }

  /** What one side changed, or both alike; a conflict if they changed it differently. */
  private <T> T pick(T was, T here, T there) {
    if (Objects.equals(here, was) || Objects.equals(here, there)) {
      return there;
    }
    if (!Objects.equals(there, was)) {
      conflict = true;
    }
    return here;
  }

  private <K, T> Map<K, T> pickAll(Map<K, T> was, Map<K, T> here, Map<K, T> there) {
    Set<K> keys = new LinkedHashSet<>(there.keySet());
    keys.addAll(here.keySet());
    Map<K, T> all = new LinkedHashMap<>();
    for (K key : keys) {
      T one = pick(was.get(key), here.get(key), there.get(key));
      if (one != null) {
        all.put(key, one);
      }
    }
    return all;
  }

  private <T> Map<String, T> items(Function<Film, List<T>> list, Function<T, String> name) {
    return pickAll(
        named(list.apply(base), name),
        named(list.apply(mine), name),
        named(list.apply(theirs), name));
  }

  private static <T> Map<String, T> named(List<T> list, Function<T, String> name) {
    Map<String, T> named = new LinkedHashMap<>();
    list.forEach(item -> named.put(name.apply(item), item));
    return named;
  }

  private static List<String> ids(Film film) {
    return film.placements().stream().map(Placement::id).toList();
  }

  /** A joint by the shots on its sides; "" for none. */
  private record Neighbours(String left, String right) {}

  private static Map<Neighbours, Tie> joints(Film film) {
    Map<Neighbours, Tie> joints = new HashMap<>();
    List<Neighbours> places = neighbours(ids(film));
    for (int j = 0; j < film.joints().size(); j++) {
      joints.put(places.get(j), film.joints().get(j));
    }
    return joints;
  }

  private static List<Neighbours> neighbours(List<String> ids) {
    List<Neighbours> places = new ArrayList<>();
    for (int j = 0; j <= ids.size() && !ids.isEmpty(); j++) {
      places.add(new Neighbours(j == 0 ? "" : ids.get(j - 1), j == ids.size() ? "" : ids.get(j)));
    }
    return places;
  }
}
