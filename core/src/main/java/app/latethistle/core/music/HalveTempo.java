package app.latethistle.core.music;

/**
 * Counts every second beat only; downbeats stay where they are. Nothing is changed below {@link
 * SongCorrection#SLOWEST} beats a minute.
 */
public record HalveTempo() implements SongCorrection {
  @Override
  public BeatGrid apply(BeatGrid grid) {
    if (grid.size() < 4 || grid.bpm() / 2 < SLOWEST) {
      return grid;
    }
    int first = grid.firstDownbeat() % 2;
    int n = (grid.size() - first + 1) / 2;
    long[] beats = new long[n];
    float[] sureness = new float[n];
    for (int i = 0; i < n; i++) {
      beats[i] = grid.sampleOf(first + 2 * i);
      sureness[i] = grid.sureness(first + 2 * i);
    }
    int downbeat = (grid.firstDownbeat() - first) / 2;
    return grid.with(beats, sureness, Math.floorMod(downbeat, grid.beatsPerBar()));
  }

  @Override
  public String label() {
    return "halve the tempo";
  }
}
