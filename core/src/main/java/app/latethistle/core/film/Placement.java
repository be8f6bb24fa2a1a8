package app.latethistle.core.film;

import app.latethistle.core.look.Appearance;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.ShapedFraming;

/**
 * A shot's place in the film. A gap is a placement of no shot and is black.
 *
 * @param id names this placement among the items of the film
 * @param what the take it shows and how that runs
 * @param how all that is done to its picture
 * @param heard what is heard of the clip
 * @param held what holds it where it is
 */
public record Placement(String id, Material what, Appearance how, ClipSound heard, Held held) {

  /** A shot's first placement, run as it was made, without sound. */
  public static Placement of(String shot, String take, long in, Framing framing) {
    return new Placement(
        shot,
        new Material(shot, take, in, Run.PLAIN),
        Appearance.of(framing),
        ClipSound.OFF,
        Held.FREE);
  }

  /** Black. */
  public static Placement gap(String id) {
    return new Placement(id, Material.NONE, Appearance.of(Framing.FIT), ClipSound.OFF, Held.FREE);
  }

  /** Whether it shows a take, and not a gap. */
  public boolean hasPicture() {
    return !what.shot().isEmpty();
  }

  /** The shot's id; "" for a gap. */
  public String shot() {
    return what.shot();
  }

  /** The take's id; "" for a gap. */
  public String take() {
    return what.take();
  }

  /** The first of the take's frames that its run uses. */
  public long in() {
    return what.in();
  }

  /** How its take runs. */
  public Run run() {
    return what.run();
  }

  /** How its picture meets the film's. */
  public ShapedFraming framing() {
    return how.framing();
  }

  /** Whether edits and a new first cut leave it where it is. */
  public boolean locked() {
    return held.locked();
  }

  public Placement withId(String newId) {
    return new Placement(newId, what, how, heard, held);
  }

  Placement withMaterial(Material material) {
    return new Placement(id, material, how, heard, held);
  }

  public Placement withIn(long newIn) {
    return withMaterial(new Material(what.shot(), what.take(), newIn, what.run()));
  }

  public Placement withRun(Run run) {
    return withMaterial(what.withRun(run));
  }

  public Placement withAppearance(Appearance appearance) {
    return new Placement(id, what, appearance, heard, held);
  }

  public Placement withSound(ClipSound sound) {
    return new Placement(id, what, how, sound, held);
  }

  public Placement withHeld(Held other) {
    return new Placement(id, what, how, heard, other);
  }

  public Placement withLocked(boolean locked) {
    return withHeld(held.withLocked(locked));
  }

  Placement withGroup(int group) {
    return withHeld(held.withGroup(group));
  }

  /**
   * The same pictures when its end moves, in a shot that lasts n frames now: what is shown at each
   * moment hangs on its length no more.
   */
  Placement fixed(long n) {
    return withRun(run().fixed(n));
  }

  /**
   * The same pictures when its start moves.
   *
   * @param by frames that are cut off; negative for frames shown before
   * @param n how long it lasts now
   * @throws IllegalArgumentException if its take has none before its first frame
   */
  Placement startingLater(long by, long n) {
    if (!hasPicture()) {
      return this;
    }
    return run().plain() ? withIn(in() + by) : withRun(run().fixed(n).startingLater(by));
  }
}
