package app.latethistle.core.film;

import app.latethistle.core.music.BeatGrid;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;

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
    List<Joint> joints = new ArrayList<>(film.joints());
    int last = -1;
    for (int i = 0; i < joints.size() && after.size() > 0; i++) {
      if (joints.get(i).tie() instanceof Tie.OnBeat tie && tie.beat() < before.size()) {
        int beat = Math.max(last + 1, after.nearest(before.sampleOf(tie.beat())));
        last = beat;
        joints.set(i, joints.get(i).withTie(new Tie.OnBeat(beat, tie.offset())));
      }
    }
    UnaryOperator<Tie> nearest = tie -> nearest(tie, before, after);
    return film.withCut(film.placements(), joints)
        .withOverlays(
            film.overlays().stream()
                .map(
                    o ->
                        o.withTies(
                            new Overlay.Ties(nearest.apply(o.start()), nearest.apply(o.end()))))
                .toList())
        .withSounds(film.sounds().stream().map(s -> s.withLanding(s.when().map(nearest))).toList())
        .withTitles(film.titles().stream().map(t -> t.withStanding(t.when().map(nearest))).toList())
        .withBalance(film.balance().map(nearest))
        .withMarkers(film.markers().stream().map(m -> m.withAt(nearest.apply(m.at()))).toList());
  }

  private static Tie nearest(Tie tie, BeatGrid before, BeatGrid after) {
    return tie instanceof Tie.OnBeat on && on.beat() < before.size() && after.size() > 0
        ? new Tie.OnBeat(after.nearest(before.sampleOf(on.beat())), on.offset())
        : tie;
  }
}
