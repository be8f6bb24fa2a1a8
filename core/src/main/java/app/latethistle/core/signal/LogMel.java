package app.latethistle.core.signal;

/**
 * A mel spectrogram with logarithmic magnitudes: the picture of a sound that onset, timbre and
 * speech measures work on.
 *
 * <p>40 triangular bands spaced evenly on the mel scale of O'Shaughnessy (1987), {@code 2595
 * log10(1 + f/700)}; magnitudes compressed as {@code ln(1 + 1000 m)}, where a full-scale sine has
 * {@code m} near 1.
 */
public final class LogMel {
  /** Number of bands. */
  public static final int BANDS = 40;

  private static final float COMPRESSION = 1000;

  /**
   * How a sound is cut up.
   *
   * @param windowSeconds the longest a window may be; it is a power of two in samples
   * @param framesASecond the hop is the nearest whole number of samples
   * @param lowestHz where the first band begins
   * @param highestHz where the last band ends, or half the sample rate if that is lower
   */
  public record Grain(double windowSeconds, int framesASecond, double lowestHz, double highestHz) {
    /** For music: about 46 ms every 10 ms. */
    public static final Grain MUSIC = new Grain(0.05, 100, 30, 11_000);

    /** For speech: about 23 ms every 5 ms. */
    public static final Grain SPEECH = new Grain(0.025, 200, 60, 7_600);
  }

  private final float[][] frames;
  private final double hopSeconds;

  private LogMel(float[][] frames, double hopSeconds) {
    this.frames = frames;
    this.hopSeconds = hopSeconds;
  }

  /** The spectrogram of a sound; frame {@code i} is centred on {@code i} hops. */
  public static LogMel of(MonoSound sound, Grain grain) {
    int size = Spectra.sizeWithin(grain.windowSeconds, sound.rate());
    int hop = Math.round((float) sound.rate() / grain.framesASecond);
    Bank bank = Bank.of(size, sound.rate(), grain);
    return new LogMel(Spectra.each(sound, size, hop, bank::apply), Spectra.hopSeconds(sound, hop));
  }

  /** Number of frames. */
  public int length() {
    return frames.length;
  }

  /** Seconds from one frame to the next. */
  public double hopSeconds() {
    return hopSeconds;
  }

  /** The bands of a frame, low to high; not to be changed. */
  public float[] frame(int index) {
    return frames[index];
  }

  /** Triangular filters, each kept as its first bin and its weights. */
  private static final class Bank {
    private final int[] first;
    private final float[][] weights;

    Bank(int[] first, float[][] weights) {
      this.first = first;
      this.weights = weights;
    }

    static Bank of(int size, int rate, Grain grain) {
      double top = Math.min(grain.highestHz, rate / 2.0);
      double[] edges = new double[BANDS + 2];
      for (int b = 0; b < edges.length; b++) {
        double mel = mel(grain.lowestHz) + (mel(top) - mel(grain.lowestHz)) * b / (BANDS + 1);
        edges[b] = 700 * (Math.pow(10, mel / 2595) - 1) * size / rate;
      }
      int[] first = new int[BANDS];
      float[][] weights = new float[BANDS][];
      for (int b = 0; b < BANDS; b++) {
        int from = Math.max(1, (int) Math.floor(edges[b]));
        int to = Math.min(size / 2 - 1, (int) Math.ceil(edges[b + 2]));
        first[b] = from;
        weights[b] = new float[to - from + 1];
        double sum = 0;
        for (int k = from; k <= to; k++) {
          double rise = (k - edges[b]) / (edges[b + 1] - edges[b]);
          double fall = (edges[b + 2] - k) / (edges[b + 2] - edges[b + 1]);
          double w = Math.max(0, Math.min(rise, fall));
          weights[b][k - from] = (float) w;
          sum += w;
        }
        if (sum == 0) {
          // A band narrower than a bin: take the bin nearest to its centre.
          weights[b][Math.min(weights[b].length - 1, (int) Math.round(edges[b + 1]) - from)] = 1;
        }
      }
      return new Bank(first, weights);
    }

    float[] apply(float[] magnitude) {
      float[] bands = new float[BANDS];
      for (int b = 0; b < BANDS; b++) {
        float sum = 0;
        float[] w = weights[b];
        for (int k = 0; k < w.length; k++) {
          sum += magnitude[first[b] + k] * w[k];
        }
        bands[b] = (float) Math.log1p(COMPRESSION * sum);
      }
      return bands;
    }

    private static double mel(double hz) {
      return 2595 * Math.log10(1 + hz / 700);
    }
  }
}
