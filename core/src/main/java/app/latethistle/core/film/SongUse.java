package app.latethistle.core.film;

import app.latethistle.core.Refused;

/**
 * How the film uses its song.
 *
 * @param start the sample of the song heard at the film's first frame, at 48 kHz; 0 or more
 */
public record SongUse(long start) {
  /** From the song's beginning. */
  public static final SongUse PLAIN = new SongUse(0);

  /**
   * @throws IllegalArgumentException if it is negative
   */
  public SongUse {
    if (start < 0) {
      throw new Refused("A song cannot start before its beginning.");
    }
  }
}
