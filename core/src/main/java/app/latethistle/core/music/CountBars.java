package app.latethistle.core.music;

import app.latethistle.core.Refused;

/**
 * Counts so many beats in a bar; the first downbeat stays one.
 *
 * @param beats 2 to 12
 */
public record CountBars(int beats) implements SongCorrection {
  /**
   * @throws IllegalArgumentException if the count is outside 2 to 12
   */
  public CountBars {
    if (beats < 2 || beats > 12) {
      throw new Refused("A bar of " + beats + " beats; give 2 to 12 beats a bar.");
    }
  }

  @Override
  public BeatGrid apply(BeatGrid grid) {
    return grid.inBars(beats, grid.firstDownbeat() % beats);
  }

  @Override
  public String label() {
    return "count " + beats + " in a bar";
  }
}
