package app.latethistle.core.music;

import app.latethistle.core.signal.MonoSound;
import app.latethistle.core.time.Samples;

/**
 * Finds the beats of a song. Several tempi that may drift are followed at once, each with its beats
 * on and between the strongest onsets, and where a small trained network hears beats; the evidence
 * over the whole song and the network choose between them.
 */
public final class BeatTracker {
  /**
   * Seconds by which flux over two hops peaks after the sounding onset; measured on click tracks.
   */
  private static final double FLUX_DELAY = 0.004;

  /** Seconds that a song with beats lasts at least. */
  public static final double SHORTEST_SONG = 1.5;

  /** What is left of the confidence where another reading is nearly as good. */
  private static final double IN_DOUBT = 0.6;

  private BeatTracker() {}

  /**
   * The beats of a song.
   *
   * @param song mono; 22,050 samples a second are enough
   * @return a grid; empty if the song is shorter than two beats or silent
   */
  public static BeatGrid track(MonoSound song) {
    if (song.seconds() < SHORTEST_SONG) {
      return BeatGrid.EMPTY;
    }
    Features features = new Features(song);
    return features.isSilent() ? BeatGrid.EMPTY : track(features);
  }

  static BeatGrid track(Features f) {
    HeardBeats heard = HeardBeats.in(f);
    return RowChoice.of(f, heard, Rows.of(f, heard))
        .map(choice -> grid(f, choice))
        .orElse(BeatGrid.EMPTY);
  }

  private static BeatGrid grid(Features f, RowChoice choice) {
    int[] beats = Rows.extend(f.onsets, choice.row().beats());
    float[] sureness = sureness(f.onsets, beats);
    Meter meter = Meter.of(f, beats, new BeatSounds(f, beats));
    long[] samples = new long[beats.length];
    for (int i = 0; i < beats.length; i++) {
      long at = Samples.ofSeconds(refine(f.onsets, beats[i]) * f.hop - FLUX_DELAY);
      samples[i] = i == 0 ? Math.max(0, at) : Math.max(samples[i - 1] + 1, at);
    }
    double confidence = 0;
    for (float s : sureness) {
      confidence += s / sureness.length;
    }
    BeatGrid grid =
        new BeatGrid(
            samples,
            sureness,
            meter.beats(),
            meter.first(),
            choice.other().isPresent() ? confidence * IN_DOUBT : confidence);
    return choice.other().map(grid::orElse).orElse(grid);
  }

  /** 1 where a beat is heard as plainly as most, less where it is only counted through. */
  private static float[] sureness(float[] onsets, int[] beats) {
    float[] sure = new float[beats.length];
    for (int i = 0; i < beats.length; i++) {
      float heard = Math.min(1, Rows.strongest(onsets, beats[i], 4) / 1.5f);
      float even = 1;
      if (i > 0 && i + 1 < beats.length) {
        float before = beats[i] - beats[i - 1];
        float after = beats[i + 1] - beats[i];
        even = Math.max(0, 1 - 6 * Math.abs(before - after) / (before + after));
      }
      sure[i] = 0.6f * heard + 0.4f * even;
    }
    return sure;
  }

  /** The beat between hops: the top of the parabola through the strongest hop around it. */
  private static double refine(float[] onsets, int beat) {
    int top = beat;
    for (int i = Math.max(1, beat - 3); i <= Math.min(onsets.length - 2, beat + 3); i++) {
      if (onsets[i] > onsets[top]) {
        top = i;
      }
    }
    if (top == 0 || top == onsets.length - 1 || onsets[top] < 0.5) {
      return beat;
    }
    double a = onsets[top - 1];
    double b = onsets[top];
    double c = onsets[top + 1];
    double bend = a - 2 * b + c;
    return bend >= 0 ? top : top + 0.5 * (a - c) / bend;
  }
}
