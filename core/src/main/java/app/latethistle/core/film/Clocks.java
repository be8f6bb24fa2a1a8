package app.latethistle.core.film;

import app.latethistle.core.music.BeatGrid;

/**
 * What a film is tied to.
 *
 * @param grid the song's beats; empty without a song
 * @param narration the lines that are read; empty without a voice
 */
public record Clocks(BeatGrid grid, Narration narration) {
  /** The music clock alone. */
  public static Clocks of(BeatGrid grid) {
    return new Clocks(grid, Narration.EMPTY);
  }
}
