package app.latethistle.core.film;

/**
 * How the film uses its song and ends.
 *
 * @param start the sample of the song heard at the film's first frame, at 48 kHz; 0 or more
 * @param fade frames over which picture and song fade out at the film's end; 0 or more
 */
public record SongUse(long start, long fade) {
  /** From the song's beginning, without a fade. */
  public static final SongUse PLAIN = new SongUse(0, 0);

  /**
   * @throws IllegalArgumentException if a value is negative
   */
  public SongUse {
    if (start < 0 || fade < 0) {
      throw new IllegalArgumentException("Song start and fade cannot be negative.");
    }
  }
}
