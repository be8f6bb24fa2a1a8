package app.latethistle.core.music;

/**
 * Counts a beat half-way between each two; nothing is changed where there is no room, or above
 * {@link SongCorrection#QUICKEST} beats a minute.
 */
public record DoubleTempo() implements SongCorrection {
  @Override
  public BeatGrid apply(BeatGrid grid) {
    if (grid.size() < 2 || 2 * grid.bpm() > QUICKEST) {
      return grid;
    }
    for (int i = 1; i < grid.size(); i++) {
      if (grid.sampleOf(i) - grid.sampleOf(i - 1) < 2 * CLOSEST) {
        return grid;
      }
    }
    int n = 2 * grid.size() - 1;
    long[] beats = new long[n];
    float[] sureness = new float[n];
    for (int i = 0; i < n; i++) {
      int before = i / 2;
      int after = (i + 1) / 2;
      beats[i] = (grid.sampleOf(before) + grid.sampleOf(after)) / 2;
      sureness[i] = Math.min(grid.sureness(before), grid.sureness(after));
    }
    return grid.with(beats, sureness, 2 * grid.firstDownbeat() % grid.beatsPerBar());
  }

  @Override
  public String label() {
    return "double the tempo";
  }
}
