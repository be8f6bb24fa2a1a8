package app.latethistle.core.plan;

import app.latethistle.core.film.Placement;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.util.List;
import java.util.Optional;

/** Proposes a film from shots in order and the beats of a song. */
public interface CutPlanner {

  /**
   * The best film for a request.
   *
   * @throws IllegalArgumentException if there is no shot, or no beat in the wanted length
   */
  CutPlan plan(Request request);

  /**
   * A shot that wants a place.
   *
   * @param placement its pick and framing; the planner may choose another {@code in}
   * @param frames how many frames its take has at the film's rate
   * @param fixed where a locked shot stays, if it is locked
   */
  record Wanted(Placement placement, long frames, Optional<Fixed> fixed) {}

  /** Where a locked shot stays: its range and the ties of its ends. */
  record Fixed(
      FrameRange range, app.latethistle.core.film.Tie start, app.latethistle.core.film.Tie end) {}

  /**
   * What is asked.
   *
   * @param shots in the order they are to be seen
   * @param grid the song's beats
   * @param songStart the sample of the song heard at the film's first frame
   * @param rate the film's frame rate
   * @param length the wanted length in frames
   */
  record Request(List<Wanted> shots, BeatGrid grid, long songStart, FrameRate rate, long length) {}
}
