package app.latethistle.core.signal;

import app.latethistle.core.time.SampleRange;
import java.util.Arrays;
import java.util.Optional;
import org.jtransforms.fft.FloatFFT_1D;

/**
 * Finds what of a sound can be repeated so that nobody hears where it begins again: two moments
 * before and after which the sound is alike, to the sample. What comes over the seam is held
 * against how much the sound's own spectrum changes anyway; a sound that changes less by itself
 * than at its best seam cannot be repeated.
 */
public final class LoopFinder {
  private static final int RATE = 48_000;
  private static final int SIZE = 2048;
  private static final int HOP = 512;

  /** A loop is half a second or longer: what comes back sooner is heard as a flutter. */
  private static final double SHORTEST = 0.5;

  /** A sound whose level changes by more decibels inside is an event, not a bed. */
  private static final double STEADY = 12;

  /** Samples that are laid side by side at a seam. */
  private static final int SEAM = 2048;

  private static final int CANDIDATES = 24;

  private LoopFinder() {}

  /** The best loop of a sound; empty if it has none. */
  public static Optional<SampleRange> find(float[] mono) {
    int frames = mono.length / HOP - SIZE / HOP;
    if (frames < 8 || mono.length < SHORTEST * RATE + 2 * SEAM) {
      return Optional.empty();
    }
    int edge = steadyEdge(mono);
    if (edge < 0) {
      return Optional.empty();
    }
    double own = percentile(flux(mono, 0, mono.length), 0.9);
    Optional<SampleRange> best = Optional.empty();
    double least = own;
    int first = edge + SEAM;
    int last = mono.length - edge - SEAM;
    for (int i = 0; i < CANDIDATES; i++) {
      // Long loops are tried first: what comes back later is noticed less.
      int start = first + (int) ((last - first) * 0.25 * (i % 6) / 6);
      int wanted = last - (int) ((last - first) * 0.3 * (i / 6) / 4);
      int end = aligned(mono, start, wanted, Math.min(last, wanted + SEAM));
      if (end - start >= SHORTEST * RATE) {
        double heard = seam(mono, start, end);
        if (heard < least) {
          least = heard;
          best = Optional.of(new SampleRange(start, end));
        }
      }
    }
    return best;
  }

  /** Samples at the ends that are fades; -1 if what lies between is not steady. */
  private static int steadyEdge(float[] mono) {
    int step = RATE / 10;
    int count = mono.length / step;
    double[] levels = new double[count];
    for (int s = 0; s < count; s++) {
      double sum = 1e-12;
      for (int i = s * step; i < (s + 1) * step; i++) {
        sum += mono[i] * (double) mono[i];
      }
      levels[s] = 10 * Math.log10(sum / step);
    }
    double middle = percentile(levels, 0.5);
    int from = 0;
    while (from < count && levels[from] < middle - STEADY / 2) {
      from++;
    }
    int to = count;
    while (to > from && levels[to - 1] < middle - STEADY / 2) {
      to--;
    }
    double[] inner = Arrays.copyOfRange(levels, from, to);
    boolean steady =
        inner.length * step >= SHORTEST * RATE
            && percentile(inner, 0.95) - percentile(inner, 0.05) <= STEADY;
    return steady ? Math.max(from, count - to) * step : -1;
  }

  /** The end near one before which the sound is most like what comes before the start. */
  private static int aligned(float[] mono, int start, int wanted, int limit) {
    int best = wanted;
    double most = Double.NEGATIVE_INFINITY;
    for (int end = Math.max(start + SEAM, wanted - SEAM); end < limit; end++) {
      double both = 0;
      double energy = 1e-9;
      for (int i = -SEAM / 2; i < SEAM / 2; i += 3) {
        float a = mono[start + i];
        float b = mono[end + i];
        both += a * (double) b;
        energy += b * (double) b;
      }
      double like = both / Math.sqrt(energy);
      if (like > most) {
        most = like;
        best = end;
      }
    }
    return best;
  }

  /** How much the spectrum changes most at a seam, if a sound is simply set behind itself. */
  private static double seam(float[] mono, int start, int end) {
    float[] around = new float[4 * SIZE];
    System.arraycopy(mono, Math.max(0, end - 2 * SIZE), around, 0, 2 * SIZE);
    System.arraycopy(mono, start, around, 2 * SIZE, Math.min(2 * SIZE, mono.length - start));
    double[] flux = flux(around, SIZE / 2, around.length - SIZE / 2);
    return Arrays.stream(flux).max().orElse(Double.MAX_VALUE);
  }

  /** The rise of the spectrum's magnitudes from frame to frame. */
  private static double[] flux(float[] mono, int from, int to) {
    FloatFFT_1D fft = new FloatFFT_1D(SIZE);
    int frames = Math.max(1, (to - from - SIZE) / HOP + 1);
    double[] flux = new double[Math.max(1, frames - 1)];
    float[] before = null;
    for (int f = 0; f < frames; f++) {
      float[] piece = new float[SIZE];
      for (int i = 0; i < SIZE; i++) {
        int at = from + f * HOP + i;
        double window = 0.5 - 0.5 * Math.cos(2 * Math.PI * i / SIZE);
        piece[i] = at < mono.length ? (float) (mono[at] * window) : 0;
      }
      fft.realForward(piece);
      float[] now = new float[SIZE / 2];
      for (int k = 1; k < SIZE / 2; k++) {
        now[k] = (float) Math.hypot(piece[2 * k], piece[2 * k + 1]);
        if (before != null) {
          flux[f - 1] += Math.max(0, now[k] - before[k]);
        }
      }
      before = now;
    }
    return flux;
  }

  private static double percentile(double[] values, double share) {
    double[] sorted = values.clone();
    Arrays.sort(sorted);
    return sorted[(int) Math.round(share * (sorted.length - 1))];
  }
}
