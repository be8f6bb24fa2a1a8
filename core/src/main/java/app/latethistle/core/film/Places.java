package app.latethistle.core.film;

import app.latethistle.core.time.FrameRange;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * Edits that put shots in, take them out and part them. What each does to the film's length:
 *
 * <table>
 * <caption>Lengths</caption>
 * <tr><td>split, leave a gap, carry, lay over</td><td>stays</td></tr>
 * <tr><td>insert, paste</td><td>grows by what comes in</td></tr>
 * <tr><td>take out, closing the gap</td><td>shrinks by the shot</td></tr>
 * </table>
 */
public final class Places {
  private Places() {}

  /** A shot to be put in, and how many frames it is to last. */
  public record Piece(Placement placement, long length) {}

  /**
   * Parts a shot in two; nothing that is seen changes.
   *
   * @throws IllegalArgumentException if the moment is not inside the shot, or the shot runs back
   *     and forth
   */
  public static Edit split(Resolved film, int place, Tie at) {
    FrameRange range = film.range(place);
    long frame = film.frameOrRefuse(at);
    if (frame <= range.start() || frame >= range.end()) {
      throw new IllegalArgumentException("A shot is split between its first and last frame.");
    }
    Placement whole = film.film().placementAt(place);
    if (whole.run().way() == Run.Way.BACK_AND_FORTH) {
      throw new IllegalArgumentException(
          Resolved.named(place) + " runs back and forth; let it run forward to split it.");
    }
    long n = range.length();
    long k = frame - range.start();
    ClipSound sound = whole.sound();
    Placement first =
        whole
            .endingSooner(n - k, n)
            .withRun(whole.run().before(k, n))
            .withSound(new ClipSound(sound.on(), sound.lead(), 0, sound.gain()));
    Placement second =
        whole
            .startingLater(k, n)
            .withId(film.film().freshId(whole.id()))
            .withRun(whole.run().after(k, n))
            .withSound(new ClipSound(sound.on(), 0, sound.tail(), sound.gain()));
    return new Recut(Recut.Kind.SPLIT, place, 1, List.of(first, second), place + 1, 0, List.of(at));
  }

  /**
   * Makes room at a joint and puts shots there. Where the joint is on a beat, the shots together
   * last as many whole beats as come nearest to their length.
   *
   * @param joint 0 is before the first shot
   */
  public static Edit insert(Resolved film, int joint, List<Piece> pieces, Recut.Kind kind) {
    Film now = film.film();
    if (joint < 0 || joint >= Math.max(1, now.joints().size()) || pieces.isEmpty()) {
      throw new IllegalArgumentException("There is no place " + joint + " to put a shot at.");
    }
    List<Placement> fresh = new ArrayList<>();
    Set<String> taken = new HashSet<>();
    for (Piece piece : pieces) {
      String id = now.freshId(piece.placement().id(), taken);
      taken.add(id);
      fresh.add(piece.placement().withId(id));
    }
    long sum = pieces.stream().mapToLong(Piece::length).sum();
    if (now.placements().isEmpty()) {
      List<Tie> ties = new ArrayList<>(List.of(Tie.free(0)));
      long at = 0;
      for (Piece piece : pieces) {
        at += piece.length();
        ties.add(film.tieAt(at));
      }
      return new Recut(kind, 0, 0, fresh, 0, 0, ties);
    }
    Tie start = now.joints().get(joint);
    Tie end = film.tieAt(film.frame(joint) + sum);
    Shift shift = Shift.wholeBeats(film, film.frame(joint), film.frame(joint) + sum, joint);
    if (start instanceof Tie.OnBeat on && film.honours(joint)) {
      int beat = film.nearestBeat(film.frame(joint) + sum - on.offset());
      if (beat > on.beat()) {
        end = new Tie.OnBeat(beat, on.offset());
        shift = Shift.between(film, start, end, joint);
      }
    }
    List<Tie> ties = new ArrayList<>(List.of(start));
    long at = film.frame(joint);
    for (int i = 0; i < pieces.size() - 1; i++) {
      at += pieces.get(i).length();
      ties.add(
          film.tieAt(Math.min(at, film.frame(joint) + shift.frames() - pieces.size() + i + 1)));
    }
    List<Tie> moved = shift.joints(film, joint);
    moved.set(0, end);
    ties.addAll(moved);
    Recut recut = new Recut(kind, joint, 0, fresh, joint, moved.size(), ties);
    return Several.of(recut, shift.beside(film, film.frame(joint)));
  }

  /**
   * Takes a shot out; what follows closes up. If something that follows is tied to beats, it closes
   * up by whole beats, as many as come nearest to the shot's length, and the next shot takes or
   * gives the rest.
   */
  public static Edit takeOut(Resolved film, int place) {
    FrameRange range = film.range(place);
    Film now = film.film();
    if (now.placements().size() == 1) {
      return new Recut(Recut.Kind.TAKE_OUT, 0, 1, List.of(), 0, 2, List.of());
    }
    Tie start = now.joints().get(place);
    Tie end = now.joints().get(place + 1);
    boolean honoured = film.honours(place) && film.honours(place + 1);
    Shift exact = honoured ? Shift.between(film, end, start, place + 1) : new Shift(0, 0);
    Shift shift =
        exact.beats() != 0
            ? exact
            : Shift.wholeBeats(film, /* from= */ range.end(), /* to= */ range.start(), place + 1);
    List<Tie> ties = closing(film, place, start, shift);
    if (ties == null) {
      shift = new Shift(-range.length(), 0);
      ties = closing(film, place, start, shift);
    }
    Recut recut = new Recut(Recut.Kind.TAKE_OUT, place, 1, List.of(), place, ties.size() + 1, ties);
    return Several.of(recut, shift.beside(film, range.end()));
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
    Placement gap = Placement.gap(film.film().freshId("gap"));
    return new Recut(Recut.Kind.LEAVE_GAP, place, 1, List.of(gap), 0, 0, List.of());
  }

  /** Moves a shot, and the time it lasts, to another place; those between close up. */
  public static Edit carry(Resolved film, int from, int to) {
    long length = film.range(from).length();
    film.range(to);
    int low = Math.min(from, to);
    int high = Math.max(from, to);
    List<Placement> placements = new ArrayList<>(film.film().placements().subList(low, high + 1));
    Placement moved = placements.remove(from - low);
    placements.add(to - low, moved);
    List<Tie> ties = new ArrayList<>();
    for (int j = low + 1; j <= high; j++) {
      // What was joint j - 1 or j + 1 makes way by the moved shot's length.
      long frame = from < to ? film.frame(j + 1) - length : film.frame(j - 1) + length;
      ties.add(film.tieAt(frame));
    }
    return new Recut(
        Recut.Kind.CARRY, low, placements.size(), placements, low + 1, ties.size(), ties);
  }

  /** Sets a speed and makes the shot as long as it takes to show the same pictures at it. */
  public static Edit stretch(Resolved film, int place, Run run) {
    FrameRange range = film.range(place);
    Placement shot = film.film().placementAt(place);
    double material = shot.run().covered(range.length(), range.length());
    long length = Math.max(1, Math.round(material * 200.0 / (run.from() + run.to())));
    Resolved after = film.with(film.film().withPlacement(place, shot.withRun(run)));
    Edit ripple = Trims.rippleEnd(after, place, after.tieAt(range.start() + length));
    return new Several("stretch to the speed", List.of(new Edit.SetRun(place, run), ripple));
  }

  /** Parts a clip's sound from its picture: it stays where it is when the picture moves. */
  public static Edit detach(Resolved film, int place) {
    FrameRange range = film.range(place);
    Placement shot = film.film().placementAt(place);
    ClipSound sound = shot.sound();
    long lead = Math.min(sound.lead(), shot.in());
    String id = film.film().freshId(shot.id());
    Tie start = lead == 0 ? film.film().joints().get(place) : film.tieAt(range.start() - lead);
    FilmSound free =
        new FilmSound(
            id,
            shot.take(),
            shot.in() - lead,
            start,
            Math.max(1, range.length() + lead + sound.tail()),
            sound.gain());
    return new Several(
        "detach a sound", List.of(new Edit.SetSound(place, ClipSound.OFF), new Lend(id, free)));
  }

  /**
   * Lays a shot over the cut, on the lowest layer that is free there.
   *
   * @throws IllegalArgumentException if all layers are taken, or the end is not after the start
   */
  public static Edit layOver(Resolved film, Placement placement, Tie start, Tie end) {
    FrameRange range = ahead(film, start, end);
    Placement fresh = placement.withId(film.film().freshId(placement.id()));
    for (int layer = 1; layer <= Overlay.LAYERS; layer++) {
      if (free(film, layer, range, "")) {
        return new Lay(fresh.id(), Overlay.whole(layer, fresh, start, end));
      }
    }
    throw new IllegalArgumentException("All layers over the cut are taken there; take one out.");
  }

  /**
   * Changes an overlay.
   *
   * @throws IllegalArgumentException if another lies on its layer there, or the end is not after
   *     the start
   */
  public static Edit change(Resolved film, Overlay overlay) {
    FrameRange range = ahead(film, overlay.start(), overlay.end());
    if (!free(film, overlay.layer(), range, overlay.name())) {
      throw new IllegalArgumentException(
          "Another shot lies on layer " + overlay.layer() + " there; choose another layer.");
    }
    return new Lay(overlay.name(), overlay);
  }

  private static FrameRange ahead(Resolved film, Tie start, Tie end) {
    long from = film.frameOrRefuse(start);
    long to = film.frameOrRefuse(end);
    if (from < 0 || to <= from) {
      throw new IllegalArgumentException("A shot laid over the cut ends after it starts.");
    }
    return new FrameRange(from, to);
  }

  private static boolean free(Resolved film, int layer, FrameRange range, String but) {
    return film.film().overlays().stream()
        .filter(o -> o.layer() == layer && !o.name().equals(but))
        .map(o -> film.cutting().beside().overlays().get(o.name()))
        .noneMatch(r -> r != null && r.start() < range.end() && range.start() < r.end());
  }

  /** Gives shots a common number, so that they are taken hold of together; 0 lets them go. */
  public static Edit group(Film film, List<Integer> places, int group) {
    int low = places.stream().mapToInt(p -> p).min().orElse(0);
    int high = places.stream().mapToInt(p -> p).max().orElse(0);
    film.placementAt(low);
    film.placementAt(high);
    List<Placement> placements = new ArrayList<>();
    for (int p = low; p <= high; p++) {
      Placement shot = film.placements().get(p);
      placements.add(places.contains(p) ? shot.withGroup(group) : shot);
    }
    return new Recut(Recut.Kind.GROUP, low, placements.size(), placements, 0, 0, List.of());
  }
}
