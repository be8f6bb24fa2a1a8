package app.latethistle.core.signal;

import java.util.Arrays;
import java.util.function.IntFunction;
import org.jtransforms.fft.FloatFFT_1D;
import org.jtransforms.utils.CommonUtils;

/**
 * Folds a sound with a response in blocks that begin at multiples of {@link #BLOCK}, so that what a
 * sample becomes follows from its number alone. A long response is taken in partitions as long as a
 * block, whose spectra are multiplied with those of the blocks before (overlap-save, Oppenheim and
 * Schafer, "Discrete-Time Signal Processing", 8.7.3; in equal partitions, Wefers, "Partitioned
 * convolution algorithms for real-time auralization", 2015, 5.2).
 */
public final class Convolution {
  /** Samples of a block. */
  public static final int BLOCK = 1 << 14;

  private static final FloatFFT_1D FFT;

  static {
    // Two threads cost these short transforms more than they bring, and others are at work.
    CommonUtils.setThreadsBeginN_1D_FFT_2Threads(4L * BLOCK);
    FFT = new FloatFFT_1D(2L * BLOCK);
  }

  private final int length;
  private final float[][] partitions;

  /**
   * @param response samples of what one sample becomes; one or more
   */
  public Convolution(float[] response) {
    length = response.length;
    partitions = new float[(length + BLOCK - 1) / BLOCK][];
    for (int p = 0; p < partitions.length; p++) {
      int count = Math.min(BLOCK, length - p * BLOCK);
      float[] piece = new float[2 * BLOCK];
      System.arraycopy(response, p * BLOCK, piece, 0, count);
      partitions[p] = spectrum(piece);
    }
  }

  /** Samples of the response. */
  public int length() {
    return length;
  }

  /** How many blocks of input a block of the result is made of. */
  public int blocks() {
    return partitions.length;
  }

  /**
   * The spectrum of input: real parts and then imaginary ones, so that many are multiplied at once;
   * the highest frequency's real part stands for the lowest one's imaginary part, which is 0.
   *
   * @param input a block after the one before it; what is in it is lost
   */
  public static float[] spectrum(float[] input) {
    FFT.realForward(input);
    float[] spectrum = new float[2 * BLOCK];
    for (int k = 0; k < BLOCK; k++) {
      spectrum[k] = input[2 * k];
      spectrum[BLOCK + k] = input[2 * k + 1];
    }
    return spectrum;
  }

  /**
   * The samples of a block.
   *
   * @param back gives the spectrum of the block so many blocks before, 0 for the block itself; null
   *     where there is silence
   * @param result takes the block in its second half
   */
  public void apply(IntFunction<float[]> back, float[] result) {
    float[] sum = new float[2 * BLOCK];
    boolean any = false;
    for (int p = 0; p < partitions.length; p++) {
      float[] spectrum = back.apply(p);
      if (spectrum != null) {
        addProduct(spectrum, partitions[p], sum);
        any = true;
      }
    }
    if (!any) {
      Arrays.fill(result, 0);
      return;
    }
    for (int k = 0; k < BLOCK; k++) {
      result[2 * k] = sum[k];
      result[2 * k + 1] = sum[BLOCK + k];
    }
    FFT.realInverse(result, true);
  }

  private static void addProduct(float[] a, float[] b, float[] sum) {
    float lowest = sum[0] + a[0] * b[0];
    float highest = sum[BLOCK] + a[BLOCK] * b[BLOCK];
    for (int k = 0; k < BLOCK; k++) {
      sum[k] += a[k] * b[k] - a[BLOCK + k] * b[BLOCK + k];
    }
    for (int k = 0; k < BLOCK; k++) {
      sum[BLOCK + k] += a[k] * b[BLOCK + k] + a[BLOCK + k] * b[k];
    }
    sum[0] = lowest;
    sum[BLOCK] = highest;
  }
}
