package app.latethistle.core.film;

import app.latethistle.core.Refused;

/**
 * A place in the film to remember.
 *
 * @param id names it among the film's markers
 * @param at its tie
 * @param note what to remember; at most 500 characters
 */
public record Marker(String id, Tie at, String note) {
  private static final int LONGEST = 500;

  /**
   * @throws IllegalArgumentException if the note is too long
   */
  public Marker {
    if (note.length() > LONGEST) {
      throw new Refused(
          "A note has at most " + LONGEST + " characters; this one has " + note.length() + ".");
    }
  }

  Marker withAt(Tie tie) {
    return new Marker(id, tie, note);
  }
}
