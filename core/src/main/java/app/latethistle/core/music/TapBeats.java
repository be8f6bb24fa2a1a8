package app.latethistle.core.music;

import app.latethistle.core.Refused;
import app.latethistle.core.time.Samples;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Beats as a person tapped them. The steady tempo through the taps is counted over the whole song;
 * a beat that was heard within an eighth of a gap of where the count puts one is kept. What all
 * taps are late by against what was heard, up to a fifth of a gap, is taken for the delay of hand
 * and machine.
 *
 * @param at in samples, rising, four or more
 */
public record TapBeats(List<Long> at) implements SongCorrection {
  /**
   * @throws IllegalArgumentException with fewer than four taps, or if two are less than 0.1 s apart
   */
  public TapBeats {
    at = List.copyOf(at);
    if (at.size() < 4) {
      throw new Refused("Tap four beats or more; there were " + at.size() + ".");
    }
    for (int i = 1; i < at.size(); i++) {
      if (at.get(i) - at.get(i - 1) < 2 * CLOSEST) {
        throw new Refused(
            "Tap " + (i + 1) + " comes less than 0.1 s after the last; tap the beats again.");
      }
    }
  }

  @Override
  public BeatGrid apply(BeatGrid grid) {
    double gap = gap();
    double phase = phase(gap) - delay(grid, gap);
    long end = grid.size() == 0 ? at.get(at.size() - 1) : grid.sampleOf(grid.size() - 1);
    List<Long> beats = new ArrayList<>();
    List<Float> sureness = new ArrayList<>();
    double place = phase - Math.floor(phase / gap) * gap;
    while (place <= end + gap / 8) {
      int near = grid.nearest(Math.round(place));
      boolean heard = near >= 0 && Math.abs(grid.sampleOf(near) - place) < gap / 8;
      long beat = heard ? grid.sampleOf(near) : Math.round(place);
      if (beats.isEmpty() || beat > beats.get(beats.size() - 1)) {
        beats.add(beat);
        sureness.add(heard ? grid.sureness(near) : 0.5f);
      }
      place = (heard ? beat : place) + gap;
    }
    long[] samples = beats.stream().mapToLong(Long::longValue).toArray();
    float[] sure = new float[samples.length];
    for (int i = 0; i < sure.length; i++) {
      sure[i] = sureness.get(i);
    }
    BeatGrid counted = grid.with(samples, sure, 0);
    if (grid.size() == 0) {
      return counted;
    }
    return new MoveDownbeat(grid.sampleOf(grid.firstDownbeat())).apply(counted);
  }

  /** Samples a beat: the median distance of taps. */
  private double gap() {
    long[] gaps = new long[at.size() - 1];
    for (int i = 0; i < gaps.length; i++) {
      gaps[i] = at.get(i + 1) - at.get(i);
    }
    Arrays.sort(gaps);
    double median = gaps[gaps.length / 2];
    // The whole stretch tells more than one gap, once it is known how many gaps it holds.
    long stretch = at.get(at.size() - 1) - at.get(0);
    return stretch / Math.max(1, Math.rint(stretch / median));
  }

  /** Where a count that fits the taps best passes, in samples. */
  private double phase(double gap) {
    double sum = 0;
    for (int i = 0; i < at.size(); i++) {
      double count = Math.rint((at.get(i) - at.get(0)) / gap);
      sum += at.get(i) - count * gap;
    }
    return sum / at.size();
  }

  private double delay(BeatGrid grid, double gap) {
    double[] late =
        at.stream()
            .filter(tap -> grid.nearest(tap) >= 0)
            .mapToDouble(tap -> tap - grid.sampleOf(grid.nearest(tap)))
            .filter(d -> Math.abs(d) < gap / 5)
            .sorted()
            .toArray();
    return late.length * 2 < at.size() ? 0 : late[late.length / 2];
  }

  @Override
  public String label() {
    return "tap the beats";
  }

  /** The tempo that was tapped, in beats a minute. */
  public double bpm() {
    return 60.0 * Samples.RATE / gap();
  }
}
