package app.latethistle.core.film;

import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.signal.BandLevels;
import java.util.function.Supplier;

/**
 * What a film is tied to.
 *
 * @param grid the song's beats; empty without a song
 * @param narration the lines that are read; empty without a voice
 * @param levels how loud the song is; asked for only where something in the film follows it
 */
public record Clocks(BeatGrid grid, Narration narration, Supplier<BandLevels> levels) {
  /** Clocks without a song's level. */
  public Clocks(BeatGrid grid, Narration narration) {
    this(grid, narration, () -> BandLevels.EMPTY);
  }

  /** The music clock alone. */
  public static Clocks of(BeatGrid grid) {
    return new Clocks(grid, Narration.EMPTY);
  }
}
