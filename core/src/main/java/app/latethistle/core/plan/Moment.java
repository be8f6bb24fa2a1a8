package app.latethistle.core.plan;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Cutting;
import app.latethistle.core.film.SongUse;
import app.latethistle.core.film.Tie;
import app.latethistle.core.film.VoiceClock;
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
 * @param bar whether the film may end here: where a bar begins, or without beats anywhere
 */
record Moment(long frame, Tie tie, double cost, boolean bar) {
  /** What a cut costs on the middle of a bar, on any other beat, and off the beat. */
  private static final double MIDDLE = 0.5;

  private static final double BEAT = 0.9;
  private static final double OFFBEAT = 2;
  private static final double PHRASE = 1.1;

  /** What it costs at no moment of a clock, as in a film without music. */
  private static final double NOWHERE = 1.3;

  /** Beats shorter than this, in seconds, are not cut in halves. */
  private static final double HALVED = 0.4;

  /**
   * Frames by which a cut comes before the phrase it makes room for: common practice, no source.
   */
  static final int BEFORE_PHRASE = 2;

  /**
   * All moments from the film's start to its wanted length, in order, one a frame: the start, the
   * beats, at a brisk pace the offbeats half-way between them, just before phrases, the ends of
   * locked shots; without beats, every half second too.
   */
  static List<Moment> of(CutPlanner.Request request) {
    BeatGrid grid = request.music().grid();
    boolean counted = grid.size() > 0;
    List<Moment> all = new ArrayList<>();
    all.add(new Moment(0, Tie.free(0), 0, false));
    for (CutPlanner.Wanted shot : request.shots()) {
      Optional<CutPlanner.Fixed> fixed = shot.fixed();
      if (fixed.isPresent()) {
        all.add(new Moment(fixed.get().range().start(), fixed.get().start(), 0, false));
        all.add(new Moment(fixed.get().range().end(), fixed.get().end(), 0, false));
      }
    }
    SongUse song = new SongUse(request.music().start());
    for (int beat = 0; beat < grid.size(); beat++) {
      long frame = Cutting.frameOfBeat(beat, song, grid, request.rate());
      all.add(new Moment(frame, Tie.onBeat(beat), cost(grid, beat), grid.isDownbeat(beat)));
      if (request.pace().offbeats && beat + 1 < grid.size()) {
        long gap = Cutting.frameOfBeat(beat + 1, song, grid, request.rate()) - frame;
        if (gap >= HALVED * request.rate().perSecond()) {
          int half = (int) (gap / 2);
          all.add(new Moment(frame + half, new Tie.OnBeat(beat, half), OFFBEAT, false));
        }
      }
    }
    for (VoiceClock.Place phrase : request.voice().phrases()) {
      long frame = request.rate().nearestFrame(phrase.get().at().start()) - BEFORE_PHRASE;
      Tie tie = new Tie.OnWord(phrase.line().id(), phrase.word(), Tie.Edge.START, -BEFORE_PHRASE);
      all.add(new Moment(frame, tie, PHRASE, !counted));
    }
    for (int half = 1;
        !counted && half * request.rate().perSecond() / 2 <= request.length();
        half++) {
      long frame = Math.round(half * request.rate().perSecond() / 2);
      all.add(new Moment(frame, Tie.free(frame), NOWHERE, true));
    }
    // A stable sort: of several at one frame, the one that was added first stays.
    all.sort(Comparator.comparingLong(Moment::frame));
    List<Moment> distinct = new ArrayList<>();
    for (Moment moment : all) {
      int last = distinct.size() - 1;
      boolean within = moment.frame >= 0 && moment.frame <= request.length();
      if (within && (last < 0 || distinct.get(last).frame != moment.frame)) {
        distinct.add(moment);
      }
    }
    return distinct;
  }

  /** Whether it is half-way between two beats. */
  boolean isOffbeat() {
    return tie instanceof Tie.OnBeat on && on.offset() != 0;
  }

  /**
   * The moments of a request that can be planned.
   *
   * @throws IllegalArgumentException if there is no shot, or no bar to end on
   */
  static List<Moment> toCut(CutPlanner.Request request) {
    if (request.shots().isEmpty()) {
      throw new Refused("There is no shot to cut; bring in clips first.");
    }
    List<Moment> moments = of(request);
    if (moments.stream().noneMatch(Moment::bar)) {
      throw new Refused(
          "No bar of the song begins within the wanted length; make the film longer or start the"
              + " song earlier.");
    }
    return moments;
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
