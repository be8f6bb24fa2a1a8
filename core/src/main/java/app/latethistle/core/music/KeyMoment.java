package app.latethistle.core.music;

/**
 * A place in a song that wants a picture.
 *
 * @param at in samples at 48 kHz
 * @param kind what happens there
 */
public record KeyMoment(long at, Kind kind) {
  /** What happens. */
  public enum Kind {
    /** Where the song becomes much louder at once. */
    DROP,
    /** A beat that stands out from all around it. */
    HIT,
    /** Where it becomes much quieter at once. */
    BREAK,
    /** Half a second or more of hardly any sound. */
    SILENCE,
    /** The last beat that is struck. */
    ENDING
  }
}
