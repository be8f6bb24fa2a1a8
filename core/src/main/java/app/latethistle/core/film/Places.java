package app.latethistle.core.film;

import app.latethistle.core.Refused;
import app.latethistle.core.sound.Manner;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRange;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * Edits that put shots in, take them out and change their order. What each does to the film's
 * length:
 *
 * <table>
 * <caption>Lengths</caption>
 * <tr><td>leave a gap, carry, reorder, give to a neighbour, share, detach</td><td>stays</td></tr>
 * <tr><td>insert, paste</td><td>grows by what comes in</td></tr>
 * <tr><td>take out, closing the gap</td><td>shrinks by the shot</td></tr>
 * </table>
 */
public final class Places {
  private Places() {}

  /** A shot to be put in, and how many frames it is to last. */
  public record Piece(Placement placement, long length) {}

  /**
   * Makes room at a joint and puts shots there. Where the joint is on a beat, the shots together
   * last as many whole beats as come nearest to their length.
   *
   * @param joint 0 is before the first shot
   * @param label what is done, for the undo button
   */
  public static Edit insert(Resolved film, int joint, List<Piece> pieces, String label) {
    Film now = film.film();
    if (joint < 0 || joint >= Math.max(1, now.joints().size()) || pieces.isEmpty()) {
      throw new Refused("There is no place " + joint + " to put a shot at.");
    }
    List<Placement> fresh = new ArrayList<>();
    Set<String> taken = new HashSet<>();
    for (Piece piece : pieces) {
      String id = now.freshId(piece.placement().id(), taken);
      taken.add(id);
      fresh.add(piece.placement().withId(id));
    }
    Draft draft = new Draft(now);
    if (now.placements().isEmpty()) {
      long at = 0;
      for (int i = 0; i < fresh.size(); i++) {
        draft.insert(i, fresh.get(i), i == 0 ? Tie.free(0) : film.tieAt(at));
        at += pieces.get(i).length();
      }
      draft.end(film.tieAt(at));
      return draft.edit(label);
    }
    long sum = pieces.stream().mapToLong(Piece::length).sum();
    long start = film.frame(joint);
    Tie tie = film.tie(joint);
    Tie end = film.tieAt(start + sum);
    Shift shift = Shift.wholeBeats(film, start, start + sum, joint);
    if (tie instanceof Tie.OnBeat on && film.honours(joint)) {
      int beat = film.nearestBeat(start + sum - on.offset());
      if (beat > on.beat()) {
        end = new Tie.OnBeat(beat, on.offset());
        shift = Shift.between(film, tie, end, joint);
      }
    }
    draft.tie(joint, shift.joints(film, joint));
    draft.tie(joint, end);
    long at = start;
    for (int i = 0; i < fresh.size(); i++) {
      long most = start + shift.frames() - pieces.size() + i;
      draft.insert(joint + i, fresh.get(i), i == 0 ? tie : film.tieAt(Math.min(at, most)));
      at += pieces.get(i).length();
    }
    return Compound.of(draft.edit(label), shift.beside(film, start));
  }

  /**
   * Takes a shot out; what follows closes up. If something that follows is tied to beats, it closes
   * up by whole beats, as many as come nearest to the shot's length, and the next shot takes or
   * gives the rest.
   */
  public static Edit takeOut(Resolved film, int place) {
    FrameRange range = film.range(place);
    Draft draft = new Draft(film.film());
    String label = "take out, closing the gap";
    if (film.film().placements().size() == 1) {
      draft.clear();
      return draft.edit(label);
    }
    Tie start = film.tie(place);
    boolean honoured = film.honours(place) && film.honours(place + 1);
    Shift exact =
        honoured ? Shift.between(film, film.tie(place + 1), start, place + 1) : new Shift(0, 0);
    Shift shift =
        exact.beats() != 0
            ? exact
            : Shift.wholeBeats(film, /* from= */ range.end(), /* to= */ range.start(), place + 1);
    List<Tie> ties = closing(film, place, start, shift);
    if (ties == null) {
      shift = new Shift(-range.length(), 0);
      ties = closing(film, place, start, shift);
    }
    draft.takeOut(place);
    draft.tie(place, ties);
    return Compound.of(draft.edit(label), shift.beside(film, range.end()));
  }

  /** The ties from a shot's start on when it is gone; null if nothing were left of the next. */
  private static List<Tie> closing(Resolved film, int place, Tie start, Shift shift) {
    List<Tie> ties = shift.joints(film, place + 1);
    ties.set(0, start);
    boolean left = ties.size() < 2 || film.frameOf(ties.get(1)).orElse(0) > film.frame(place);
    return left ? ties : null;
  }

  /** Takes a shot out and leaves black in its place. */
  public static Edit leaveGap(Resolved film, int place) {
    film.range(place);
    String id = film.film().freshId("gap");
    Draft draft = new Draft(film.film());
    draft.set(place, shot -> Placement.gap(id));
    return draft.edit("take out, leaving a gap");
  }

  /** Moves a shot, and the time it lasts, to another place; those between close up. */
  public static Edit carry(Resolved film, int from, int to) {
    long length = film.range(from).length();
    film.range(to);
    Draft draft = new Draft(film.film());
    draft.move(from, to);
    for (int j = Math.min(from, to) + 1; j <= Math.max(from, to); j++) {
      // What was joint j - 1 or j + 1 makes way by the moved shot's length.
      long frame = from < to ? film.frame(j + 1) - length : film.frame(j - 1) + length;
      draft.tie(j, film.tieAt(frame));
    }
    return draft.edit("move with its time");
  }

  /** Moves a shot to another place; the cuts stay, the shots between move up by one. */
  public static Edit reorder(Resolved film, int from, int to) {
    film.range(from);
    film.range(to);
    Draft draft = new Draft(film.film());
    draft.move(from, to);
    return draft.edit("reorder shots");
  }

  /**
   * Takes a shot out and gives its time to a neighbour: the one with more material to spare; a
   * neighbour that is locked takes it only if the other is too, or there is no other.
   *
   * @throws IllegalArgumentException if there is no shot at the place
   */
  public static Edit giveToNeighbour(Resolved film, int place) {
    film.range(place);
    Film now = film.film();
    int last = now.placements().size() - 1;
    Draft draft = new Draft(now);
    if (last == 0) {
      draft.clear();
      return draft.edit("remove a shot");
    }
    Tie end = film.tie(place + 1);
    Tie start = film.tie(place);
    boolean nextTakesOver = place < last && (place == 0 || !before(film, place));
    draft.takeOut(place);
    if (nextTakesOver) {
      draft.tie(place, start);
    } else if (place == last) {
      // The shot before ends where the one that goes began, as the film does then.
      draft.tie(place, start);
    } else {
      draft.tie(place, end);
    }
    return draft.edit("remove a shot");
  }

  private static boolean before(Resolved film, int place) {
    boolean lockedBefore = film.film().placements().get(place - 1).locked();
    boolean lockedAfter = film.film().placements().get(place + 1).locked();
    return lockedBefore == lockedAfter
        ? spareAfter(film, place - 1) >= spareAfter(film, place + 1)
        : lockedAfter;
  }

  /** Material a shot has after its last used frame; negative if it is short already. */
  private static long spareAfter(Resolved film, int place) {
    Placement shot = film.film().placements().get(place);
    Take take = film.takes().get(shot.take());
    return take == null ? Long.MIN_VALUE : take.frames() - film.shown(shot.id()).end();
  }

  /**
   * Brings a shot in at a place: it takes the second half of the time of the shot before, from the
   * beat nearest to that shot's middle; without a beat between, from its middle frame. At place 0
   * it takes the first half of the first shot's.
   *
   * @param place where it will stand, from 0 to the number of shots
   * @throws IllegalArgumentException if the shot to share with is a single frame long
   */
  public static Edit share(Resolved film, Placement placement, int place) {
    Film now = film.film();
    String label = "bring back a shot";
    long frames = film.takes().get(placement.take()).frames();
    Placement fresh = placement.withId(now.freshId(placement.id()));
    Draft draft = new Draft(now);
    if (now.placements().isEmpty()) {
      draft.insert(0, fresh, Tie.free(0));
      draft.end(Tie.free(frames));
      return draft.edit(label);
    }
    if (place < 0 || place > now.placements().size()) {
      throw new Refused("There is no place " + place + " to put a shot at.");
    }
    FrameRange shared = film.range(Math.max(0, place - 1));
    if (shared.length() < 2) {
      throw new Refused("The shot before is a single frame long; move its cut first.");
    }
    Tie middle = beatNearMiddle(film, shared);
    long at = film.frameOrRefuse(middle);
    long length = place == 0 ? at - shared.start() : shared.end() - at;
    Placement part = fresh.withIn(Math.max(0, Math.min(placement.in(), frames - length)));
    if (place == 0) {
      draft.insert(0, part, film.tie(0));
      draft.tie(1, middle);
    } else {
      draft.insert(place, part, middle);
    }
    return draft.edit(label);
  }

  private static Tie beatNearMiddle(Resolved film, FrameRange range) {
    long middle = (range.start() + range.end()) / 2;
    int near = film.nearestBeat(middle);
    if (near >= 0) {
      long frame = film.frameOfBeat(near);
      if (frame > range.start() && frame < range.end()) {
        return Tie.onBeat(near);
      }
    }
    return Tie.free(middle);
  }

  /** Parts a clip's sound from its picture: it stays where it is when the picture moves. */
  public static Edit detach(Resolved film, int place) {
    FrameRange range = film.range(place);
    Placement shot = film.film().placementAt(place);
    ClipSound sound = shot.heard();
    long lead = Math.min(sound.lead(), shot.in());
    FilmSound free =
        new FilmSound(
            film.film().freshId(shot.id()),
            new SoundMaterial.OfTake(
                shot.take(), shot.in() - lead, Math.max(1, range.length() + lead + sound.tail())),
            Landing.on(lead == 0 ? film.tie(place) : film.tieAt(range.start() - lead)),
            Manner.PLAIN.withGain(sound.gain()));
    return new Compound(
        "detach a sound",
        List.of(SetAspect.of(Aspect.SOUND, shot.id(), ClipSound.OFF), Put.sound(free)));
  }
}
