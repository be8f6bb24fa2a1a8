package app.latethistle.core.music;

import app.latethistle.core.Refused;
import java.util.Arrays;
import java.util.List;

/**
 * Takes beats and bars as they are written elsewhere.
 *
 * @param beats in samples, rising by 50 ms or more
 * @param beatsPerBar 2 to 12
 * @param firstDownbeat the first beat that begins a bar, below {@code beatsPerBar}
 */
public record FollowTempoMap(List<Long> beats, int beatsPerBar, int firstDownbeat)
    implements SongCorrection {
  /**
   * @throws IllegalArgumentException if there are too few beats, or they lie too close
   */
  public FollowTempoMap {
    beats = List.copyOf(beats);
    if (beats.size() < 4) {
      throw new Refused(
          "A tempo map with " + beats.size() + " beats in the song; 4 or more are needed.");
    }
    for (int i = 1; i < beats.size(); i++) {
      if (beats.get(i) - beats.get(i - 1) < CLOSEST) {
        throw new Refused(
            "Beats " + i + " and " + (i + 1) + " of the tempo map lie under 50 ms apart.");
      }
    }
  }

  @Override
  public BeatGrid apply(BeatGrid grid) {
    float[] sure = new float[beats.size()];
    Arrays.fill(sure, 1);
    long[] samples = beats.stream().mapToLong(b -> b).toArray();
    return new BeatGrid(samples, sure, beatsPerBar, firstDownbeat, 1);
  }

  @Override
  public String label() {
    return "take the tempo map";
  }
}
