package app.latethistle.core.film;

import app.latethistle.core.music.BeatGrid;
import java.util.ArrayList;
import java.util.List;

/**
 * Ties a film to another grid of the same song, in which beats have other numbers: each joint to
 * the beat that falls nearest to where its beat was, with its offset.
 */
public final class Retie {
  private Retie() {}

  /** Whether beats of the same number are still the same beats, perhaps moved. */
  public static boolean isNeeded(BeatGrid before, BeatGrid after) {
    return before.size() != after.size();
  }

  /**
   * The film on the new grid. Joints stay in order: one whose beat another joint has taken moves on
   * to the next.
   */
  public static Film of(Film film, BeatGrid before, BeatGrid after) {
    List<Tie> joints = new ArrayList<>(film.joints());
    int last = -1;
    for (int i = 0; i < joints.size() && after.size() > 0; i++) {
      if (joints.get(i) instanceof Tie.OnBeat tie && tie.beat() < before.size()) {
        int beat = Math.max(last + 1, after.nearest(before.sampleOf(tie.beat())));
        last = beat;
        joints.set(i, new Tie.OnBeat(beat, tie.offset()));
      }
    }
    return new Film(film.placements(), joints, film.song());
  }
}
