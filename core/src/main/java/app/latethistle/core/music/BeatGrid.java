package app.latethistle.core.music;

import app.latethistle.core.Refused;
import app.latethistle.core.time.Samples;
import java.util.Arrays;
import java.util.Optional;

/**
 * The beats of a song. Beats are numbered from 0 in the order they sound; bars from 1 at the first
 * downbeat, so beats before it stand in bar 0, the lead-in.
 */
public final class BeatGrid {
  /** The grid of no beats. */
  public static final BeatGrid EMPTY = new BeatGrid(new long[0], new float[0], 4, 0, 0);

  private final long[] beats;
  private final float[] sureness;
  private final int beatsPerBar;
  private final int firstDownbeat;
  private final double confidence;
  private final Optional<OtherReading> other;

  /**
   * @param beats where each beat falls in the song, in samples at 48 kHz, strictly rising
   * @param sureness how sure each beat is, 0 to 1, one value a beat
   * @param beatsPerBar 2 to 12
   * @param firstDownbeat the first beat that begins a bar, below {@code beatsPerBar}
   * @param confidence how sure the whole is, 0 to 1
   * @throws IllegalArgumentException if a value is outside its range
   */
  public BeatGrid(
      long[] beats, float[] sureness, int beatsPerBar, int firstDownbeat, double confidence) {
    this(beats, sureness, beatsPerBar, firstDownbeat, confidence, Optional.empty());
  }

  private BeatGrid(
      long[] beats,
      float[] sureness,
      int beatsPerBar,
      int firstDownbeat,
      double confidence,
      Optional<OtherReading> other) {
    if (beats.length != sureness.length) {
      throw new Refused(beats.length + " beats but " + sureness.length + " values of sureness.");
    }
    for (int i = 1; i < beats.length; i++) {
      if (beats[i] <= beats[i - 1]) {
        throw new Refused("Beat " + i + " does not come after the one before it.");
      }
    }
    if (beatsPerBar < 2 || beatsPerBar > 12) {
      throw new Refused("A bar of " + beatsPerBar + " beats; 2 to 12 are counted.");
    }
    if (firstDownbeat < 0 || firstDownbeat >= beatsPerBar) {
      throw new Refused("First downbeat " + firstDownbeat + " lies outside the first bar.");
    }
    this.beats = beats.clone();
    this.sureness = sureness.clone();
    this.beatsPerBar = beatsPerBar;
    this.firstDownbeat = firstDownbeat;
    this.confidence = confidence;
    this.other = other;
  }

  /** An even grid, for what is known rather than heard. */
  public static BeatGrid even(double bpm, double firstBeatSeconds, int count, int beatsPerBar) {
    long[] beats = new long[count];
    float[] sureness = new float[count];
    for (int i = 0; i < count; i++) {
      beats[i] = Samples.ofSeconds(firstBeatSeconds + i * 60 / bpm);
    }
    Arrays.fill(sureness, 1);
    return new BeatGrid(beats, sureness, beatsPerBar, 0, 1);
  }

  /** The same, with another way to count that fits nearly as well. */
  public BeatGrid orElse(OtherReading reading) {
    return new BeatGrid(
        beats, sureness, beatsPerBar, firstDownbeat, confidence, Optional.of(reading));
  }

  /** Another way to count that fits nearly as well, unless somebody has put something right. */
  public Optional<OtherReading> other() {
    return other;
  }

  /** The grid with other beats, in the same bars. */
  BeatGrid with(long[] newBeats, float[] newSureness, int newFirstDownbeat) {
    return new BeatGrid(newBeats, newSureness, beatsPerBar, newFirstDownbeat, confidence);
  }

  /** The grid in other bars. */
  BeatGrid inBars(int newBeatsPerBar, int newFirstDownbeat) {
    return new BeatGrid(beats, sureness, newBeatsPerBar, newFirstDownbeat, confidence, other);
  }

  /** Where the beats fall, in samples at 48 kHz. */
  public long[] samples() {
    return beats.clone();
  }

  /** How sure each beat is, 0 to 1. */
  public float[] surenesses() {
    return sureness.clone();
  }

  /** The number of beats. */
  public int size() {
    return beats.length;
  }

  /** Where a beat falls in the song, in samples at 48 kHz. */
  public long sampleOf(int beat) {
    return beats[beat];
  }

  /** How sure a beat is, 0 to 1. */
  public float sureness(int beat) {
    return sureness[beat];
  }

  /** Beats in a bar. */
  public int beatsPerBar() {
    return beatsPerBar;
  }

  /** The first beat that begins a bar. */
  public int firstDownbeat() {
    return firstDownbeat;
  }

  /** How sure the whole grid is, 0 to 1. */
  public double confidence() {
    return confidence;
  }

  /** The bar a beat stands in: 1 from the first downbeat, 0 in the lead-in. */
  public int barOf(int beat) {
    return Math.floorDiv(beat - firstDownbeat, beatsPerBar) + 1;
  }

  /** The place of a beat in its bar, from 1. */
  public int placeOf(int beat) {
    return Math.floorMod(beat - firstDownbeat, beatsPerBar) + 1;
  }

  /** Whether a beat begins a bar. */
  public boolean isDownbeat(int beat) {
    return placeOf(beat) == 1;
  }

  /** The number of the last bar that has a beat; 0 if there is none. */
  public int lastBar() {
    return beats.length == 0 ? 0 : barOf(beats.length - 1);
  }

  /** Beats a minute: the median distance of neighbours; 0 with fewer than two beats. */
  public double bpm() {
    if (beats.length < 2) {
      return 0;
    }
    long[] gaps = new long[beats.length - 1];
    for (int i = 0; i < gaps.length; i++) {
      gaps[i] = beats[i + 1] - beats[i];
    }
    Arrays.sort(gaps);
    double median = (gaps[(gaps.length - 1) / 2] + gaps[gaps.length / 2]) / 2.0;
    return 60.0 * Samples.RATE / median;
  }

  /** Where the downbeat nearest to a sample is; the sample itself if there is none. */
  public long nearestDownbeat(long sample) {
    int beat = nearest(sample);
    if (beat < 0) {
      return sample;
    }
    int before = beat - (placeOf(beat) - 1);
    long best = -1;
    for (int downbeat : new int[] {before, before + beatsPerBar}) {
      boolean there = downbeat >= 0 && downbeat < beats.length;
      if (there && (best < 0 || Math.abs(beats[downbeat] - sample) < Math.abs(best - sample))) {
        best = beats[downbeat];
      }
    }
    return best < 0 ? sample : best;
  }

  /** The beat nearest to a sample of the song, the earlier of two equally near; -1 if none. */
  public int nearest(long sample) {
    int at = Arrays.binarySearch(beats, sample);
    if (at >= 0 || beats.length == 0) {
      return at >= 0 ? at : -1;
    }
    int after = -at - 1;
    if (after == beats.length) {
      return beats.length - 1;
    }
    boolean earlier = after > 0 && sample - beats[after - 1] <= beats[after] - sample;
    return earlier ? after - 1 : after;
  }
}
