package app.latethistle.core.signal;

import org.jtransforms.fft.FloatFFT_1D;

/**
 * A mel spectrogram with logarithmic magnitudes: the picture of a sound that onset and timbre
 * measures work on.
 *
 * <p>A Hann window of about 46 ms every 10 ms (the hop is a whole number of samples); 40 triangular
 * bands spaced evenly on the mel scale of O'Shaughnessy (1987), {@code 2595 log10(1 + f/700)}, from
 * 30 Hz to 11 kHz; magnitudes compressed as {@code ln(1 + 1000 m)}, where a full-scale sine has
 * {@code m} near 1.
 */
public final class LogMel {
  /** Number of bands. */
  public static final int BANDS = 40;

  private static final double LOWEST_HZ = 30;
  private static final double HIGHEST_HZ = 11_000;
  private static final float COMPRESSION = 1000;

  private final float[][] frames;
  private final double hopSeconds;

  private LogMel(float[][] frames, double hopSeconds) {
    this.frames = frames;
    this.hopSeconds = hopSeconds;
  }

  /** The spectrogram of a sound; frame {@code i} is centred on {@code i} hops. */
  public static LogMel of(MonoSound sound) {
    int hop = Math.round(sound.rate() / 100f);
    int size = Integer.highestOneBit((int) (sound.rate() * 0.05));
    float[] window = hann(size);
    Bank bank = Bank.of(size, sound.rate());
    FloatFFT_1D fft = new FloatFFT_1D(size);
    int count = sound.samples().length / hop + 1;
    float[][] frames = new float[count][];
    float[] buffer = new float[size];
    float[] magnitude = new float[size / 2];
    for (int i = 0; i < count; i++) {
      int from = i * hop - size / 2;
      for (int k = 0; k < size; k++) {
        int at = from + k;
        buffer[k] = at >= 0 && at < sound.samples().length ? sound.samples()[at] * window[k] : 0;
      }
      fft.realForward(buffer);
      for (int k = 1; k < size / 2; k++) {
        float re = buffer[2 * k];
        float im = buffer[2 * k + 1];
        magnitude[k] = (float) Math.sqrt(re * re + im * im) * 4 / size;
      }
      frames[i] = bank.apply(magnitude);
    }
    return new LogMel(frames, (double) hop / sound.rate());
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

  private static float[] hann(int size) {
    float[] window = new float[size];
    for (int k = 0; k < size; k++) {
      window[k] = (float) (0.5 - 0.5 * Math.cos(2 * Math.PI * k / size));
    }
    return window;
  }

  /** Triangular filters, each kept as its first bin and its weights. */
  private record Bank(int[] first, float[][] weights) {
    static Bank of(int size, int rate) {
      double top = Math.min(HIGHEST_HZ, rate / 2.0);
      double[] edges = new double[BANDS + 2];
      for (int b = 0; b < edges.length; b++) {
        double mel = mel(LOWEST_HZ) + (mel(top) - mel(LOWEST_HZ)) * b / (BANDS + 1);
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
