package app.latethistle.core.film;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;

/**
 * A film: its placements in order and its joints, one more than placements unless both are empty.
 *
 * @param placements in the order they are seen
 * @param joints the film's start, the cuts, the film's end; empty if there are no placements
 * @param song how the song is used
 */
public record Film(List<Placement> placements, List<Tie> joints, SongUse song) {
  /** A film with nothing in it. */
  public static final Film EMPTY = new Film(List.of(), List.of(), SongUse.PLAIN);

  /**
   * @throws IllegalArgumentException if the number of joints does not fit the placements
   */
  public Film {
    placements = List.copyOf(placements);
    joints = List.copyOf(joints);
    int expected = placements.isEmpty() ? 0 : placements.size() + 1;
    if (joints.size() != expected) {
      throw new IllegalArgumentException(
          placements.size() + " shots need " + expected + " joints, not " + joints.size() + ".");
    }
  }

  /** The place of a shot, from 0; -1 if it is not in the film. */
  public int indexOfShot(String shot) {
    for (int i = 0; i < placements.size(); i++) {
      if (placements.get(i).shot().equals(shot)) {
        return i;
      }
    }
    return -1;
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

  Film withPlacement(int index, Placement placement) {
    return changing(placements, p -> p.set(index, placement), p -> new Film(p, joints, song));
  }

  Film withJoint(int index, Tie tie) {
    return changing(joints, j -> j.set(index, tie), j -> new Film(placements, j, song));
  }

  Film withSong(SongUse newSong) {
    return new Film(placements, joints, newSong);
  }

  static <T> Film changing(
      List<T> list, Consumer<List<T>> change, java.util.function.Function<List<T>, Film> make) {
    List<T> copy = new ArrayList<>(list);
    change.accept(copy);
    return make.apply(copy);
  }
}
