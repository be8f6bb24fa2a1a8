package app.latethistle.core.music;

/**
 * Spaces the beats of a span evenly between its first and last.
 *
 * @param from in samples
 * @param to in samples, after {@code from}
 */
public record HoldTempo(long from, long to) implements SongCorrection {
  @Override
  public BeatGrid apply(BeatGrid grid) {
    int first = grid.nearest(Math.min(from, to));
    int last = grid.nearest(Math.max(from, to));
    if (first < 0 || last - first < 2) {
      return grid;
    }
    long[] beats = grid.samples();
    float[] sureness = grid.surenesses();
    double gap = (double) (beats[last] - beats[first]) / (last - first);
    long start = beats[first];
    for (int i = first; i <= last; i++) {
      beats[i] = start + Math.round((i - first) * gap);
      sureness[i] = 1;
    }
    return grid.with(beats, sureness, grid.firstDownbeat());
  }

  @Override
  public String label() {
    return "hold the tempo";
  }
}
