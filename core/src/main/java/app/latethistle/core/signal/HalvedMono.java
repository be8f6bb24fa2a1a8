package app.latethistle.core.signal;

import java.util.Arrays;

/**
 * Makes one channel at half the rate of a sound of two, block by block: what is listened to needs
 * no more, and both ways of decoding it would cost as much again. A half-band filter of {@value
 * #TAPS} samples on either side, every second of which is 0 (a sinc under a Blackman window; Smith,
 * "Spectral Audio Signal Processing", 2011): to 0.4 of the new rate the level is kept within 0.1
 * dB, and what lies over 0.6 of it is 70 dB down or more. Not for use by two threads at once.
 */
public final class HalvedMono {
  private static final int TAPS = 31;

  /** Weights of the samples 1, 3, 5 and so on away from the middle, whose own is a half. */
  private static final float[] WEIGHTS = weights();

  /** Samples of silence before the first, an even number, so that it lies on an even place. */
  private static final int BEFORE = TAPS + 1;

  private float[] held = new float[2 * TAPS];
  private int holds = BEFORE;
  private long came;
  private float[] made = new float[1 << 16];
  private int length;

  private static float[] weights() {
    float[] weights = new float[(TAPS + 1) / 2];
    for (int k = 0; k < weights.length; k++) {
      double at = 2.0 * k + 1;
      double place = Math.PI * at / (TAPS + 1);
      double window = 0.42 + 0.5 * Math.cos(place) + 0.08 * Math.cos(2 * place);
      weights[k] = (float) (Math.sin(Math.PI * at / 2) / (Math.PI * at) * window);
    }
    return weights;
  }

  /**
   * Takes the next samples.
   *
   * @param stereo left and right in turn
   * @param count samples of each
   */
  public void add(float[] stereo, int count) {
    if (held.length < holds + count) {
      held = Arrays.copyOf(held, holds + count);
    }
    for (int i = 0; i < count; i++) {
      held[holds + i] = 0.5f * (stereo[2 * i] + stereo[2 * i + 1]);
    }
    holds += count;
    came += count;
    halve();
  }

  /** Makes all that can be made of what is held, and keeps what later samples need. */
  private void halve() {
    int count = Math.max(0, holds / 2 - TAPS);
    if (count == 0) {
      return;
    }
    // Around a sample on an even place those count that lie on odd ones.
    float[] odd = new float[holds / 2];
    for (int i = 0; i < odd.length; i++) {
      odd[i] = held[2 * i + 1];
    }
    float[] sums = new float[count];
    int middle = BEFORE / 2;
    for (int i = 0; i < count; i++) {
      sums[i] = 0.5f * held[2 * (middle + i)];
    }
    for (int k = 0; k < WEIGHTS.length; k++) {
      float weight = WEIGHTS[k];
      int before = middle - k - 1;
      int after = middle + k;
      for (int i = 0; i < count; i++) {
        sums[i] += weight * (odd[before + i] + odd[after + i]);
      }
    }
    if (made.length < length + count) {
      made = Arrays.copyOf(made, Math.max(length + count, made.length + made.length / 2));
    }
    System.arraycopy(sums, 0, made, length, count);
    length += count;
    System.arraycopy(held, 2 * count, held, 0, holds - 2 * count);
    holds -= 2 * count;
  }

  /** How many samples are made so far. */
  public int length() {
    return length;
  }

  /** Ends with silence: half as many samples as came, rounded up. */
  public float[] end() {
    int wanted = Math.toIntExact((came + 1) / 2);
    add(new float[4 * TAPS], 2 * TAPS);
    return Arrays.copyOf(made, wanted);
  }
}
