package app.latethistle.core.film;

import app.latethistle.core.look.Finish;
import app.latethistle.core.words.SafeAreas;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Brings two changes of one film together, item by item and aspect by aspect: what only one side
 * changed is taken from it. There is no film of both if both changed the same aspect of an item in
 * different ways, if both changed which shots follow each other, or if one changed what the other
 * took away.
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
    Map<String, Placement> placements =
        items(placements(base), placements(mine), placements(theirs), Aspect.ofPlacements());
    Map<Neighbours, Joint> joints =
        items(joints(base), joints(mine), joints(theirs), Aspect.ofJoints());
    if (conflict) {
      return null;
    }
    List<Placement> cut = new ArrayList<>();
    for (String id : order) {
      cut.add(placements.remove(id));
    }
    List<Joint> ties = new ArrayList<>();
    for (Neighbours place : neighbours(order)) {
      ties.add(joints.remove(place));
    }
    // What is left over, one side changed or made and the other took its place in the order away.
    conflict |= cut.contains(null) || ties.contains(null);
    conflict |= !placements.isEmpty() || !joints.isEmpty();
    SongUse music = pick(base.music(), mine.music(), theirs.music());
    Finish finish = pick(base.finish(), mine.finish(), theirs.finish());
    List<Overlay> overlays = overlays();
    List<FilmSound> sounds = whole(ItemKind.SOUND, Aspect.ofSounds());
    Balance balance = pick(base.balance(), mine.balance(), theirs.balance());
    List<Marker> markers = whole(ItemKind.MARKER, List.of());
    List<FilmTitle> titles = whole(ItemKind.TITLE, Aspect.ofTitles());
    List<FilmCaptions> captions = whole(ItemKind.CAPTIONS, Aspect.ofCaptions());
    SafeAreas safe = pick(base.safe(), mine.safe(), theirs.safe());
    return conflict
        ? null
        : new Film(
            cut, ties, music, finish, overlays, sounds, markers, balance, titles, captions, safe);
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

  /** Items of both sides; one that both changed is brought together aspect by aspect. */
  private <K, I> Map<K, I> items(
      Map<K, I> was, Map<K, I> here, Map<K, I> there, List<Aspect<I, ?>> aspects) {
    Set<K> keys = new LinkedHashSet<>(there.keySet());
    keys.addAll(here.keySet());
    Map<K, I> all = new LinkedHashMap<>();
    for (K key : keys) {
      I one = item(was.get(key), here.get(key), there.get(key), aspects);
      if (one != null) {
        all.put(key, one);
      }
    }
    return all;
  }

  private <I> I item(I was, I here, I there, List<Aspect<I, ?>> aspects) {
    if (was == null || here == null || there == null) {
      return pick(was, here, there);
    }
    // What no aspect says (a shot itself, an overlay's picture) is taken from who changed it.
    I other = here;
    I before = was;
    for (Aspect<I, ?> aspect : aspects) {
      other = as(aspect, other, there);
      before = as(aspect, before, there);
    }
    I both = pick(before, other, there);
    for (Aspect<I, ?> aspect : aspects) {
      both = merged(aspect, both, was, here, there);
    }
    return both;
  }

  private static <I, T> I as(Aspect<I, T> aspect, I item, I model) {
    return aspect.with(item, aspect.of(model));
  }

  private <I, T> I merged(Aspect<I, T> aspect, I both, I was, I here, I there) {
    return aspect.with(both, pick(aspect.of(was), aspect.of(here), aspect.of(there)));
  }

  /** Overlays of both sides: when and where they lie, and their pictures as the cut's. */
  private List<Overlay> overlays() {
    Map<String, Overlay> was = named(ItemKind.OVERLAY, base);
    Map<String, Overlay> here = named(ItemKind.OVERLAY, mine);
    Map<String, Overlay> there = named(ItemKind.OVERLAY, theirs);
    Map<String, Placement> pictures =
        items(pictures(was), pictures(here), pictures(there), Aspect.ofPlacements());
    // Pictures are brought together by themselves, so they do not count as a difference here.
    Map<String, Overlay> plain =
        items(
            showing(was, pictures),
            showing(here, pictures),
            showing(there, pictures),
            Aspect.ofOverlays());
    return List.copyOf(plain.values());
  }

  private static Map<String, Placement> pictures(Map<String, Overlay> overlays) {
    Map<String, Placement> pictures = new LinkedHashMap<>();
    overlays.forEach((name, overlay) -> pictures.put(name, overlay.placement()));
    return pictures;
  }

  private static Map<String, Overlay> showing(
      Map<String, Overlay> overlays, Map<String, Placement> pictures) {
    Map<String, Overlay> shown = new LinkedHashMap<>();
    overlays.forEach(
        (name, overlay) ->
            shown.put(
                name,
                pictures.containsKey(name) ? overlay.withPlacement(pictures.get(name)) : overlay));
    return shown;
  }

  private <I> List<I> whole(ItemKind.ListKind<I> kind, List<Aspect<I, ?>> aspects) {
    return List.copyOf(
        items(named(kind, base), named(kind, mine), named(kind, theirs), aspects).values());
  }

  private static <I> Map<String, I> named(ItemKind.ListKind<I> kind, Film film) {
    return kind.all(film).stream()
        .collect(Collectors.toMap(kind::idOf, i -> i, (a, b) -> a, LinkedHashMap::new));
  }

  private static Map<String, Placement> placements(Film film) {
    Map<String, Placement> named = new LinkedHashMap<>();
    film.placements().forEach(p -> named.put(p.id(), p));
    return named;
  }

  private static List<String> ids(Film film) {
    return film.placements().stream().map(Placement::id).toList();
  }

  /** A joint by the shots on its sides; "" for none. */
  private record Neighbours(String left, String right) {}

  private static Map<Neighbours, Joint> joints(Film film) {
    Map<Neighbours, Joint> joints = new HashMap<>();
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
