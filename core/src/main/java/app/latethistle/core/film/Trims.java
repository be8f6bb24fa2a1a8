package app.latethistle.core.film;

import app.latethistle.core.Refused;
import app.latethistle.core.time.FrameRange;
import java.util.ArrayList;
import java.util.List;

/**
 * Edits that move the ends of shots. No picture that stays is another afterwards. What each does to
 * the film's length:
 *
 * <table>
 * <caption>Lengths</caption>
 * <tr><td>roll, slide, split</td><td>stays</td></tr>
 * <tr><td>ripple an end</td><td>changes by as much as the end moves</td></tr>
 * <tr><td>ripple a start</td><td>changes by as much as the start moves, the other way</td></tr>
 * </table>
 *
 * Where a ripple is one of whole beats, later cuts keep to theirs, and the length changes by as
 * many beats.
 */
public final class Trims {
  private Trims() {}

  /**
   * Moves the end of a shot and all that follows with it.
   *
   * @param place the shot whose end moves
   * @throws IllegalArgumentException if nothing would be left of the shot
   */
  public static Edit rippleEnd(Resolved film, int place, Tie to) {
    long n = film.range(place).length();
    int joint = place + 1;
    keepsAFrame(place, film.frameOrRefuse(to) - film.frame(place));
    Shift shift = between(film, joint, to, joint);
    Draft draft = new Draft(film.film());
    draft.set(place, shot -> shot.fixed(n));
    draft.tie(joint, shift.joints(film, joint));
    draft.tie(joint, to);
    return Compound.of(draft.edit("ripple a cut"), shift.beside(film, film.frame(joint)));
  }

  /**
   * Cuts off a shot's first frames, or shows more before them; all that follows its start moves.
   *
   * @param to where the shot's new first frame lies now
   * @throws IllegalArgumentException if nothing would be left, or its take has too little before
   */
  public static Edit rippleStart(Resolved film, int place, Tie to) {
    long n = film.range(place).length();
    long by = film.frameOrRefuse(to) - film.frame(place);
    keepsAFrame(place, n - by);
    Shift there = between(film, place, to, place + 1);
    Shift shift = new Shift(-there.frames(), -there.beats());
    Draft draft = new Draft(film.film());
    draft.set(place, shot -> later(film, place, by));
    draft.tie(place + 1, shift.joints(film, place + 1));
    return Compound.of(draft.edit("ripple a cut"), shift.beside(film, film.frame(place) + 1));
  }

  /**
   * Moves a cut with the pictures on both sides staying where they are.
   *
   * @param joint a cut, not the film's start or end
   */
  public static Edit roll(Resolved film, int joint, Tie to) {
    isACut(film, joint);
    long by = film.frameOrRefuse(to) - film.frame(joint);
    Draft draft = new Draft(film.film());
    giveAndTake(film, draft, joint, joint, by);
    draft.tie(joint, to);
    return draft.edit("roll a cut");
  }

  /**
   * Moves a shot between its neighbours, who give and take the time; what it shows stays.
   *
   * @param to where its start goes
   */
  public static Edit slide(Resolved film, int place, Tie to) {
    isACut(film, place);
    isACut(film, place + 1);
    long by = film.frameOrRefuse(to) - film.frame(place);
    Draft draft = new Draft(film.film());
    giveAndTake(film, draft, place, place + 1, by);
    Shift shift = between(film, place, to, place + 1);
    Tie end = shift.joints(film, place + 1).get(0);
    // Whole beats are not all as long: a shot that slides keeps its length to the frame.
    long at = film.frame(place + 1) + by;
    draft.tie(place, to);
    draft.tie(place + 1, film.frameOf(end).orElse(-1) == at ? end : film.tieAt(at));
    return draft.edit("slide a shot");
  }

  /** What lies before a joint grows by some frames, what begins at another one shrinks by them. */
  private static void giveAndTake(Resolved film, Draft draft, int growing, int shrinking, long by) {
    long n = film.range(growing - 1).length();
    keepsAFrame(growing - 1, n + by);
    keepsAFrame(shrinking, film.range(shrinking).length() - by);
    draft.set(growing - 1, shot -> shot.fixed(n));
    draft.set(shrinking, shot -> later(film, shrinking, by));
  }

  /**
   * Parts a shot in two; nothing that is seen changes.
   *
   * @throws IllegalArgumentException if the moment is not inside the shot
   */
  public static Edit split(Resolved film, int place, Tie at) {
    FrameRange range = film.range(place);
    long frame = film.frameOrRefuse(at);
    if (frame <= range.start() || frame >= range.end()) {
      throw new Refused("A shot is split between its first and last frame.");
    }
    Placement whole = film.film().placementAt(place);
    ClipSound sound = whole.heard();
    double parted = (double) (frame - range.start()) / range.length();
    Placement second =
        framed(whole, parted, 1)
            .startingLater(frame - range.start(), range.length())
            .withId(film.film().freshId(whole.id()))
            .withSound(new ClipSound(sound.on(), 0, sound.tail(), sound.gain()));
    Draft draft = new Draft(film.film());
    draft.set(
        place,
        shot ->
            framed(shot, 0, parted)
                .fixed(range.length())
                .withSound(new ClipSound(sound.on(), sound.lead(), 0, sound.gain())));
    draft.insert(place + 1, second, at);
    return draft.edit("split a shot");
  }

  /** A shot with the part of its move that belongs to a part of it. */
  private static Placement framed(Placement shot, double start, double end) {
    return shot.withAppearance(shot.how().withFraming(shot.framing().part(start, end)));
  }

  /** Sets a speed and makes the shot as long as it takes to show the same pictures at it. */
  public static Edit stretch(Resolved film, int place, Run run) {
    FrameRange range = film.range(place);
    Placement shot = film.film().placementAt(place);
    double material = shot.run().covered(range.length());
    long length = Math.max(1, Math.round(material * 200.0 / (run.from() + run.to())));
    Edit faster = Sources.run(film, shot.id(), run);
    Resolved after = film.with(faster.apply(film.film()));
    Draft draft = new Draft(after.film());
    Tie end = after.tieAt(range.start() + length);
    Shift shift = between(after, place + 1, end, place + 1);
    draft.tie(place + 1, shift.joints(after, place + 1));
    draft.tie(place + 1, end);
    List<Edit> edits = new ArrayList<>(List.of(faster, draft.edit("ripple a cut")));
    edits.addAll(shift.beside(after, after.frame(place + 1)));
    return new Compound("stretch to the speed", edits);
  }

  private static Shift between(Resolved film, int joint, Tie to, int moving) {
    Tie from = film.honours(joint) ? film.tie(joint) : Tie.free(film.frame(joint));
    return Shift.between(film, from, to, moving);
  }

  private static Placement later(Resolved film, int place, long by) {
    Placement shot = film.film().placementAt(place);
    long n = film.range(place).length();
    if (by < 0 && shot.hasPicture()) {
      long before = film.spareBefore(place, -by);
      if (before < -by) {
        throw new ShotRefused(
            film.film(),
            place,
            "has " + before + " f before its first used frame, and " + -by + " are asked for.");
      }
    }
    return shot.startingLater(by, n);
  }

  private static void isACut(Resolved film, int joint) {
    if (joint < 1 || joint >= film.film().placements().size()) {
      throw new Refused(
          "There are no two shots at cut " + joint + "; the film's start and end stay.");
    }
  }

  private static void keepsAFrame(int place, long length) {
    if (length < 1) {
      throw new Refused(
          "Nothing would be left of shot " + (place + 1) + " of the film; leave it a frame.");
    }
  }
}
