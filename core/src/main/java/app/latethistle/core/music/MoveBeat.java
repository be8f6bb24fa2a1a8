package app.latethistle.core.music;

/**
 * Moves the beat nearest to a place to another; it stays between its neighbours.
 *
 * @param from in samples
 * @param to in samples
 */
public record MoveBeat(long from, long to) implements SongCorrection {
  @Override
  public BeatGrid apply(BeatGrid grid) {
    int beat = grid.nearest(from);
    if (beat < 0) {
      return grid;
    }
    long[] beats = grid.samples();
    float[] sureness = grid.surenesses();
    long least = beat == 0 ? 0 : beats[beat - 1] + CLOSEST;
    long most = beat + 1 == beats.length ? Long.MAX_VALUE : beats[beat + 1] - CLOSEST;
    if (least > most) {
      return grid;
    }
    beats[beat] = Math.max(least, Math.min(most, to));
    sureness[beat] = 1;
    return grid.with(beats, sureness, grid.firstDownbeat());
  }

  @Override
  public String label() {
    return "move a beat";
  }
}
