package app.latethistle.core.music;

/**
 * Makes the beat nearest to a place begin a bar.
 *
 * @param at in samples
 */
public record MoveDownbeat(long at) implements SongCorrection {
  @Override
  public BeatGrid apply(BeatGrid grid) {
    int beat = grid.nearest(at);
    return beat < 0 ? grid : grid.inBars(grid.beatsPerBar(), beat % grid.beatsPerBar());
  }

  @Override
  public String label() {
    return "move the downbeat";
  }
}
