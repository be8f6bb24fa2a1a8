package app.latethistle.core.signal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class HalvedMonoTest {
  private static final int LENGTH = 48_000;

  /** A sine on both channels, at so many parts of the new rate. */
  private static float[] sine(double part) {
    float[] stereo = new float[2 * LENGTH];
    for (int i = 0; i < LENGTH; i++) {
      float value = (float) Math.sin(Math.PI * part * i);
      stereo[2 * i] = value;
      stereo[2 * i + 1] = value;
    }
    return stereo;
  }

  private static float[] halved(float[] stereo, int... blocks) {
    HalvedMono halved = new HalvedMono();
    int at = 0;
    for (int block : blocks) {
      halved.add(Arrays.copyOfRange(stereo, 2 * at, 2 * (at + block)), block);
      at += block;
    }
    halved.add(Arrays.copyOfRange(stereo, 2 * at, stereo.length), stereo.length / 2 - at);
    return halved.end();
  }

  /** The loudest of the middle, in dB. */
  private static double level(float[] mono) {
    double square = 0;
    for (int i = 1000; i < mono.length - 1000; i++) {
      square += mono[i] * mono[i];
    }
    return 10 * Math.log10(2 * square / (mono.length - 2000));
  }

  @ParameterizedTest
  @ValueSource(doubles = {0.001, 0.11, 0.25, 0.4})
  void whatTheNewRateHoldsIsKeptWhereItWas(double part) {
    float[] mono = halved(sine(part));
    assertThat(mono).hasSize(LENGTH / 2);
    for (int i = 1000; i < mono.length - 1000; i += 7) {
      assertThat(mono[i]).isCloseTo((float) Math.sin(Math.PI * part * 2 * i), within(0.012f));
    }
    assertThat(level(mono)).isCloseTo(0, within(0.1));
  }

  @ParameterizedTest
  @ValueSource(doubles = {0.6, 0.71, 0.99})
  void whatItDoesNotHoldIsGone(double part) {
    assertThat(level(halved(sine(part)))).isLessThan(-70);
  }

  @Test
  void bothChannelsCountAndBlocksDoNot() {
    Random random = new Random(5);
    float[] stereo = new float[2 * 5001];
    for (int i = 0; i < stereo.length; i++) {
      stereo[i] = (float) random.nextGaussian();
    }
    float[] whole = halved(stereo);
    assertThat(whole).hasSize(2501);
    assertThat(halved(stereo, 1, 0, 2, 997, 64, 3)).isEqualTo(whole);
    float[] swapped = new float[stereo.length];
    for (int i = 0; i < stereo.length; i++) {
      swapped[i] = stereo[i ^ 1];
    }
    assertThat(halved(swapped)).isEqualTo(whole);
    assertThat(new HalvedMono().end()).isEmpty();
  }
}
