package app.latethistle.core.film;

import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRange;
import java.util.List;
import java.util.Map;

/** Makes the edits that need a look at the whole film: taking a shot out and bringing one back. */
public final class EditMaker {
  private final Resolved resolved;
  private final Film film;
  private final Map<String, Take> takes;
  private final Cutting cutting;

  public EditMaker(Resolved resolved) {
    this.resolved = resolved;
    film = resolved.film();
    takes = resolved.takes();
    cutting = resolved.cutting();
  }

  /**
   * Takes a shot out: of its neighbours, the one with more material to spare takes over its time; a
   * neighbour that is locked does so only if the other is too, or there is no other.
   *
   * @throws IllegalArgumentException if there is no shot at the place
   */
  public Edit.RemoveShot remove(int place) {
    int last = film.placements().size() - 1;
    if (place < 0 || place > last) {
      throw new IllegalArgumentException("There is no shot at place " + place + " to remove.");
    }
    if (place == 0) {
      return new Edit.RemoveShot(0, 1);
    }
    if (place == last) {
      return new Edit.RemoveShot(place, place);
    }
    boolean lockedBefore = film.placements().get(place - 1).locked();
    boolean lockedAfter = film.placements().get(place + 1).locked();
    boolean before =
        lockedBefore == lockedAfter ? spareAfter(place - 1) >= spareAfter(place + 1) : lockedAfter;
    return new Edit.RemoveShot(place, before ? place : place + 1);
  }

  /** Material a shot has after its last used frame; negative if it is short already. */
  private long spareAfter(int place) {
    Take take = takes.get(film.placements().get(place).take());
    Placement shot = film.placements().get(place);
    long used = shot.in() + shot.run().used(cutting.rangeOf(place).length());
    return take == null ? Long.MIN_VALUE : take.frames() - used;
  }

  /**
   * Brings a shot in at a place: it takes the second half of the time of the shot before, from the
   * beat nearest to that shot's middle; without a beat between, from its middle frame. At place 0
   * it takes the first half of the first shot's.
   *
   * @param place where it will stand, from 0 to the number of shots
   * @throws IllegalArgumentException if the shot to share with is a single frame long
   */
  public Edit bringBack(Placement placement, int place) {
    if (film.placements().isEmpty()) {
      long length = takes.get(placement.take()).frames();
      return new Edit.Replace(
          film.withCut(List.of(placement), List.of(Tie.free(0), Tie.free(length))),
          "bring back a shot");
    }
    FrameRange shared = cutting.rangeOf(Math.max(0, place - 1));
    if (shared.length() < 2) {
      throw new IllegalArgumentException(
          "The shot before is a single frame long; move its cut first.");
    }
    // The new joint always stands at index 'place' or, before the first shot, at 1.
    int joint = Math.max(1, place);
    Tie tie = beatNearMiddle(shared);
    long at = resolved.frameOrRefuse(tie);
    long length = place == 0 ? at - shared.start() : shared.end() - at;
    long frames = takes.get(placement.take()).frames();
    long in = Math.max(0, Math.min(placement.in(), frames - length));
    return new Edit.InsertShot(place, placement.withIn(in), joint, tie);
  }

  private Tie beatNearMiddle(FrameRange range) {
    long middle = (range.start() + range.end()) / 2;
    int near = resolved.nearestBeat(middle);
    if (near >= 0) {
      long frame = resolved.frameOfBeat(near);
      if (frame > range.start() && frame < range.end()) {
        return Tie.onBeat(near);
      }
    }
    return Tie.free(middle);
  }
}
