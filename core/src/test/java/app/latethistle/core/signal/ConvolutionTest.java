package app.latethistle.core.signal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Folding in blocks, held against the sum that defines it. */
class ConvolutionTest {
  private static final int BLOCK = Convolution.BLOCK;

  private static float[] noise(Random random, int length) {
    float[] noise = new float[length];
    for (int i = 0; i < length; i++) {
      noise[i] = random.nextFloat() - 0.5f;
    }
    return noise;
  }

  /** The spectrum of a block and the one before it; null where nothing sounds. */
  private static float[] spectrum(float[] sound, int block) {
    if (block < 0) {
      return null;
    }
    float[] input = new float[2 * BLOCK];
    for (int i = 0; i < 2 * BLOCK; i++) {
      int at = (block - 1) * BLOCK + i;
      input[i] = at >= 0 && at < sound.length ? sound[at] : 0;
    }
    return Convolution.spectrum(input);
  }

  @ParameterizedTest
  @ValueSource(ints = {1, 37, BLOCK - 1, BLOCK, BLOCK + 1, 2 * BLOCK + 4_321})
  void aBlockIsTheSumOverTheResponse(int length) {
    Random random = new Random(length);
    float[] response = noise(random, length);
    float[] sound = noise(random, 3 * BLOCK + 555);
    Convolution convolution = new Convolution(response);
    assertThat(convolution.length()).isEqualTo(length);
    float[] result = new float[2 * BLOCK];
    for (int block = 0; block < 6; block++) {
      int now = block;
      convolution.apply(back -> spectrum(sound, now - back), result);
      for (int i = 0; i < 40; i++) {
        int within = i < 2 ? i * (BLOCK - 1) : random.nextInt(BLOCK);
        int at = block * BLOCK + within;
        double sum = 0;
        for (int k = 0; k < length; k++) {
          sum += at - k >= 0 && at - k < sound.length ? response[k] * sound[at - k] : 0;
        }
        assertThat(result[BLOCK + within]).isCloseTo((float) sum, within(2e-4f));
      }
    }
  }
}
