package app.latethistle.core.plan;

import app.latethistle.core.film.Cutting;
import app.latethistle.core.film.SongUse;
import app.latethistle.core.film.Tie;
import app.latethistle.core.music.BeatGrid;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * A frame at which a cut may fall, what it would be tied to, and what it costs there.
 *
 * @param frame of the film
 * @param tie what the cut is tied to
 * @param cost 0 on a downbeat, more elsewhere
 * @param bar whether a bar begins here
 */
record Moment(long frame, Tie tie, double cost, boolean bar) {
  /** What a cut costs on the middle of a bar, and on any other beat. */
  private static final double MIDDLE = 0.5;

  private static final double BEAT = 0.9;

  /**
   * All moments from the film's start to its wanted length: the start, the beats, and the ends of
   * locked shots, in order, one a frame.
   */
  static List<Moment> of(CutPlanner.Request request) {
    BeatGrid grid = request.grid();
    List<Moment> all = new ArrayList<>();
    all.add(new Moment(0, Tie.free(0), 0, false));
    SongUse song = new SongUse(request.songStart(), 0);
    for (int beat = 0; beat < grid.size(); beat++) {
      long frame = Cutting.frameOfBeat(beat, song, grid, request.rate());
      if (frame > 0 && frame <= request.length()) {
        all.add(new Moment(frame, Tie.onBeat(beat), cost(grid, beat), grid.isDownbeat(beat)));
      }
    }
    for (CutPlanner.Wanted shot : request.shots()) {
      Optional<CutPlanner.Fixed> fixed = shot.fixed();
      if (fixed.isPresent()) {
        all.add(new Moment(fixed.get().range().start(), fixed.get().start(), 0, false));
        all.add(new Moment(fixed.get().range().end(), fixed.get().end(), 0, false));
      }
    }
    all.sort(Comparator.comparingLong(Moment::frame));
    List<Moment> distinct = new ArrayList<>();
    for (Moment moment : all) {
      int last = distinct.size() - 1;
      if (last < 0 || distinct.get(last).frame() != moment.frame()) {
        distinct.add(moment);
      }
    }
    return distinct;
  }

  private static double cost(BeatGrid grid, int beat) {
    if (grid.isDownbeat(beat)) {
      return 0;
    }
    boolean middle =
        grid.beatsPerBar() % 2 == 0 && grid.placeOf(beat) == grid.beatsPerBar() / 2 + 1;
    return middle ? MIDDLE : BEAT;
  }
}
