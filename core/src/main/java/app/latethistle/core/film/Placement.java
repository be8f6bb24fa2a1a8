package app.latethistle.core.film;

import app.latethistle.core.take.Framing;

/**
 * A shot's place in the film: which take, from which of its frames, how it runs and how it is
 * framed. A gap is a placement of no shot and is black.
 *
 * @param id names this placement among those of the film
 * @param shot the shot's id in the production; "" for a gap
 * @param take the take's id; "" for a gap
 * @param in the take's first used frame, at the film's rate
 * @param framing how its picture meets the film's
 * @param locked whether edits and a new first cut leave it where it is
 * @param run how the take runs
 * @param sound what is heard of the clip
 * @param group placements of one number are taken hold of together; 0 is none
 */
public record Placement(
    String id,
    String shot,
    String take,
    long in,
    Framing framing,
    boolean locked,
    Run run,
    ClipSound sound,
    int group) {
  /**
   * What is not there is as it was before it could be said: stored films may be older.
   *
   * @throws IllegalArgumentException if the first used frame is negative
   */
  public Placement {
    if (in < 0) {
      throw new IllegalArgumentException(
          "A take starts at frame 0; frame " + in + " is before it.");
    }
    id = id == null ? shot : id;
    run = run == null ? Run.PLAIN : run;
    sound = sound == null ? ClipSound.OFF : sound;
  }

  /** A shot's first placement, run as it was made, without sound. */
  public static Placement of(String shot, String take, long in, Framing framing, boolean locked) {
    return new Placement(shot, shot, take, in, framing, locked, Run.PLAIN, ClipSound.OFF, 0);
  }

  /** Black. */
  public static Placement gap(String id) {
    return of("", "", 0, Framing.FIT, false).withId(id);
  }

  /** Whether it shows a take, and not a gap. */
  public boolean hasPicture() {
    return !shot.isEmpty();
  }

  public Placement withId(String newId) {
    return new Placement(newId, shot, take, in, framing, locked, run, sound, group);
  }

  Placement withTake(String newTake, long newIn, Framing newFraming) {
    return new Placement(id, shot, newTake, newIn, newFraming, locked, run, sound, group);
  }

  public Placement withIn(long newIn) {
    return new Placement(id, shot, take, newIn, framing, locked, run, sound, group);
  }

  public Placement withFraming(Framing newFraming) {
    return new Placement(id, shot, take, in, newFraming, locked, run, sound, group);
  }

  public Placement withLocked(boolean newLocked) {
    return new Placement(id, shot, take, in, framing, newLocked, run, sound, group);
  }

  public Placement withRun(Run newRun) {
    return new Placement(id, shot, take, in, framing, locked, newRun, sound, group);
  }

  public Placement withSound(ClipSound newSound) {
    return new Placement(id, shot, take, in, framing, locked, run, newSound, group);
  }

  Placement withGroup(int newGroup) {
    return new Placement(id, shot, take, in, framing, locked, run, sound, newGroup);
  }

  /** The same pictures in the rest of a shot of n frames whose first {@code by} are cut off. */
  Placement startingLater(long by, long n) {
    return switch (run.way()) {
      case FORWARD -> withIn(Math.max(0, in + Math.round(signed(by, n))));
      case REVERSE, HOLD, BACK_AND_FORTH -> this;
    };
  }

  /** The same pictures in a shot of n frames whose last {@code by} are cut off. */
  Placement endingSooner(long by, long n) {
    return run.way() == Run.Way.REVERSE
        ? withIn(Math.max(0, in + run.used(n) - run.used(Math.max(1, n - by))))
        : this;
  }

  private double signed(long by, long n) {
    return by >= 0 ? run.covered(by, n) : by * run.from() / 100.0;
  }
}
