package app.latethistle.core.signal;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * How loud a sound is in three bands, moment by moment: 0 for silence, 1 for as loud as the band is
 * in its loudest twentieth of the time. Amplitude, the root mean square of each band's bins.
 */
public final class BandLevels {
  /** No sound. */
  public static final BandLevels EMPTY = new BandLevels(1, Map.of());

  private static final float[] NONE = new float[0];
  private static final double WINDOW = 0.05;
  private static final int A_SECOND = 50;

  /** What counts as full: the loudest twentieth reaches it. */
  private static final double FULL = 0.95;

  private final double perSecond;
  private final Map<Band, float[]> levels;

  /**
   * A part of the spectrum; where bass and voice are usually parted: common practice, no source.
   */
  public enum Band {
    LOW(0, 150),
    MIDDLE(150, 2000),
    HIGH(2000, Double.MAX_VALUE);

    private final double from;
    private final double to;

    Band(double from, double to) {
      this.from = from;
      this.to = to;
    }
  }

  private BandLevels(double perSecond, Map<Band, float[]> levels) {
    this.perSecond = perSecond;
    this.levels = levels;
  }

  /** Measures a sound. */
  public static BandLevels of(MonoSound sound) {
    int size = Spectra.sizeWithin(WINDOW, sound.rate());
    int hop = sound.rate() / A_SECOND;
    double hertz = (double) sound.rate() / size;
    List<Band> bands = List.of(Band.values());
    float[][] frames = Spectra.each(sound, size, hop, magnitudes -> sums(bands, hertz, magnitudes));
    Map<Band, float[]> levels = new EnumMap<>(Band.class);
    for (int i = 0; i < bands.size(); i++) {
      float[] level = new float[frames.length];
      for (int frame = 0; frame < frames.length; frame++) {
        level[frame] = frames[frame][i];
      }
      levels.put(bands.get(i), level);
    }
    levels.values().forEach(BandLevels::scale);
    return new BandLevels(1 / Spectra.hopSeconds(sound, hop), levels);
  }

  /** What bands of a frame have, one after the other. */
  private static float[] sums(List<Band> bands, double hertz, float[] magnitudes) {
    float[] sums = new float[bands.size()];
    for (int i = 0; i < sums.length; i++) {
      Band band = bands.get(i);
      int last = (int) Math.min(magnitudes.length, Math.ceil(band.to / hertz));
      double sum = 0;
      for (int bin = (int) Math.ceil(band.from / hertz); bin < last; bin++) {
        sum += magnitudes[bin] * magnitudes[bin];
      }
      sums[i] = (float) Math.sqrt(sum);
    }
    return sums;
  }

  private static void scale(float[] band) {
    float[] sorted = band.clone();
    Arrays.sort(sorted);
    float full = sorted[(int) Math.floor(FULL * (sorted.length - 1))];
    for (int i = 0; i < band.length; i++) {
      band[i] = full <= 0 ? 0 : Math.min(1, band[i] / full);
    }
  }

  /** A band's level at a time, between the moments it was measured at; 0 outside the sound. */
  public double at(Band band, double seconds) {
    float[] level = levels.getOrDefault(band, NONE);
    double at = seconds * perSecond;
    int before = (int) Math.floor(at);
    if (before < 0 || before >= level.length) {
      return 0;
    }
    float next = before + 1 < level.length ? level[before + 1] : 0;
    return level[before] + (at - before) * (next - level[before]);
  }
}
