package app.latethistle.core.film;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * A film: its placements in order and its joints, one more than placements unless both are empty;
 * and what lies over and beside them.
 *
 * @param placements in the order they are seen
 * @param joints the film's start, the cuts, the film's end; empty if there are no placements
 * @param song how the song is used
 * @param overlays shots that lie over the cut, by layer and name
 * @param sounds sounds of clips that go their own way, by name
 * @param markers places to remember, by name
 */
public record Film(
    List<Placement> placements,
    List<Tie> joints,
    SongUse song,
    List<Overlay> overlays,
    List<FilmSound> sounds,
    List<Marker> markers) {
  /** A film with nothing in it. */
  public static final Film EMPTY = new Film(List.of(), List.of(), SongUse.PLAIN);

  /**
   * Lists that are not there are empty: stored films may be older than what can be laid over them.
   *
   * @throws IllegalArgumentException if the number of joints does not fit the placements, or two
   *     items have one name
   */
  public Film {
    placements = List.copyOf(placements);
    joints = List.copyOf(joints);
    overlays = inOrder(overlays, Comparator.comparing(Overlay::layer).thenComparing(Overlay::name));
    sounds = inOrder(sounds, Comparator.comparing(FilmSound::id));
    markers = inOrder(markers, Comparator.comparing(Marker::id));
    int expected = placements.isEmpty() ? 0 : placements.size() + 1;
    if (joints.size() != expected) {
      throw new IllegalArgumentException(
          placements.size() + " shots need " + expected + " joints, not " + joints.size() + ".");
    }
  }

  /** A film of a cut alone. */
  public Film(List<Placement> placements, List<Tie> joints, SongUse song) {
    this(placements, joints, song, List.of(), List.of(), List.of());
  }

  /** The place of a shot, from 0; -1 if it is not in the cut. */
  public int indexOfShot(String shot) {
    return indexOf(placements, p -> p.shot().equals(shot));
  }

  /** The place of a placement by its id; -1 if there is none. */
  public int indexOfId(String id) {
    return indexOf(placements, p -> p.id().equals(id));
  }

  /** Whether a shot is seen in the cut or over it. */
  public boolean shows(String shot) {
    return Stream.concat(placements.stream(), overlays.stream().map(Overlay::placement))
        .anyMatch(p -> p.shot().equals(shot));
  }

  /** An id like the one wished for that nothing in the film has. */
  public String freshId(String wish) {
    return freshId(wish, Set.of());
  }

  /** The same, that is not among those taken elsewhere either. */
  String freshId(String wish, Set<String> taken) {
    String stem = wish.isEmpty() ? "gap" : wish.replaceFirst("~\\d+$", "");
    String id = stem;
    for (int n = 2; isTaken(id) || taken.contains(id); n++) {
      id = stem + "~" + n;
    }
    return id;
  }

  private boolean isTaken(String id) {
    return indexOfId(id) >= 0
        || overlay(id).isPresent()
        || sound(id).isPresent()
        || marker(id).isPresent();
  }

  /** The overlay of a name. */
  public Optional<Overlay> overlay(String name) {
    return Items.named(overlays, Overlay::name, name);
  }

  /** The detached sound of a name. */
  public Optional<FilmSound> sound(String name) {
    return Items.named(sounds, FilmSound::id, name);
  }

  /** The marker of a name. */
  public Optional<Marker> marker(String name) {
    return Items.named(markers, Marker::id, name);
  }

  /**
   * The shot at a place.
   *
   * @throws IllegalArgumentException if there is none, with a sentence for the person
   */
  public Placement placementAt(int place) {
    if (place < 0 || place >= placements.size()) {
      throw new IllegalArgumentException(
          "There is no shot at place " + place + "; the film has " + placements.size() + ".");
    }
    return placements.get(place);
  }

  /** The same with another cut under what lies over it. */
  public Film withCut(List<Placement> newPlacements, List<Tie> newJoints) {
    return new Film(newPlacements, newJoints, song, overlays, sounds, markers);
  }

  /** The cut and the use of the song of another film, under what lies over this one. */
  public Film cutAs(Film other) {
    return new Film(other.placements, other.joints, other.song, overlays, sounds, markers);
  }

  Film withPlacement(int index, Placement placement) {
    return withCut(changed(placements, p -> p.set(index, placement)), joints);
  }

  Film withJoint(int index, Tie tie) {
    return withCut(placements, changed(joints, j -> j.set(index, tie)));
  }

  Film withSong(SongUse newSong) {
    return new Film(placements, joints, newSong, overlays, sounds, markers);
  }

  Film withOverlays(List<Overlay> newOverlays) {
    return new Film(placements, joints, song, newOverlays, sounds, markers);
  }

  Film withSounds(List<FilmSound> newSounds) {
    return new Film(placements, joints, song, overlays, newSounds, markers);
  }

  Film withMarkers(List<Marker> newMarkers) {
    return new Film(placements, joints, song, overlays, sounds, newMarkers);
  }

  static <T> List<T> changed(List<T> list, Consumer<List<T>> change) {
    List<T> copy = new ArrayList<>(list);
    change.accept(copy);
    return copy;
  }

  private static <T> List<T> inOrder(List<T> list, Comparator<T> order) {
    return list == null ? List.of() : list.stream().sorted(order).toList();
  }

  private static <T> int indexOf(List<T> list, Predicate<T> wanted) {
    for (int i = 0; i < list.size(); i++) {
      if (wanted.test(list.get(i))) {
        return i;
      }
    }
    return -1;
  }
}
