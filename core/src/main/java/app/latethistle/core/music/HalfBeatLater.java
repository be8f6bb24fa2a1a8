package app.latethistle.core.music;

/** Every beat goes half-way to the next one; where the first bar begins is counted as before. */
public record HalfBeatLater() implements SongCorrection {
  @Override
  public BeatGrid apply(BeatGrid grid) {
    int n = grid.size();
    if (n < 2) {
      return grid;
    }
    long[] beats = new long[n];
    for (int i = 0; i < n; i++) {
      int gap = Math.min(i, n - 2);
      beats[i] = grid.sampleOf(i) + (grid.sampleOf(gap + 1) - grid.sampleOf(gap)) / 2;
    }
    return grid.with(beats, grid.surenesses(), grid.firstDownbeat());
  }

  @Override
  public String label() {
    return "half a beat later";
  }
}
