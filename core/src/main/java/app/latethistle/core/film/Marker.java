package app.latethistle.core.film;

import app.latethistle.core.Refused;

/**
 * A place in the film to remember.
 *
 * @param id names it among the film's markers
 * @param at its tie
 * @param note what to remember; at most 500 characters
 * @param by who said it while watching, at most 40 characters; "" for whoever cuts the film
 * @param done whether it needs no looking at any more
 */
public record Marker(String id, Tie at, String note, String by, boolean done) {
  private static final int LONGEST = 500;
  private static final int LONGEST_NAME = 40;

  /** A place that whoever cuts the film wants to remember. */
  public static Marker of(String id, Tie at, String note) {
    return new Marker(id, at, note, "", /* done= */ false);
  }

  /**
   * @throws IllegalArgumentException if a text is too long, or it is tied as only sounds are
   */
  public Marker {
    Tie.ofClock(at);
    if (note.length() > LONGEST) {
      throw new Refused(
          "A note has at most " + LONGEST + " characters; this one has " + note.length() + ".");
    }
    if (by.length() > LONGEST_NAME) {
      throw new Refused("A name has at most " + LONGEST_NAME + " letters here.");
    }
  }

  /** The same at another moment. */
  public Marker withAt(Tie tie) {
    return new Marker(id, tie, note, by, done);
  }

  /** The same with another note. */
  public Marker withNote(String other) {
    return new Marker(id, at, other, by, done);
  }

  /** The same, ticked off or not. */
  public Marker withDone(boolean now) {
    return new Marker(id, at, note, by, now);
  }
}
