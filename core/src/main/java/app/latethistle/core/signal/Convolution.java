package app.latethistle.core.signal;

import org.jtransforms.fft.FloatFFT_1D;

/**
 * Folds a sound with a response in blocks that begin at multiples of the block's length, so that
 * what a sample becomes follows from its number alone (overlap-save, Oppenheim and Schafer,
 * "Discrete-Time Signal Processing", 8.7.3).
 */
public final class Convolution {
  private static final int LEAST = 1 << 13;

  private final int block;
  private final FloatFFT_1D fft;
  private final float[] response;
  private final int length;

  /**
   * @param response samples of what one sample becomes; one or more
   */
  public Convolution(float[] response) {
    length = response.length;
    block = Math.max(LEAST, Integer.highestOneBit(Math.max(1, length - 1)) * 2);
    fft = new FloatFFT_1D(2L * block);
    this.response = new float[2 * block];
    System.arraycopy(response, 0, this.response, 0, length);
    fft.realForward(this.response);
  }

  /** Samples of the response. */
  public int length() {
    return length;
  }

  /** Samples of a block. */
  public int block() {
    return block;
  }

  /**
   * The samples of a block.
   *
   * @param input the block's own samples after as many that came before; becomes the block's
   *     result, in its second half
   */
  public void apply(float[] input) {
    fft.realForward(input);
    input[0] *= response[0];
    input[1] *= response[1];
    for (int k = 1; k < block; k++) {
      float re = input[2 * k] * response[2 * k] - input[2 * k + 1] * response[2 * k + 1];
      input[2 * k + 1] = input[2 * k] * response[2 * k + 1] + input[2 * k + 1] * response[2 * k];
      input[2 * k] = re;
    }
    fft.realInverse(input, true);
  }
}
