package app.latethistle.core.music;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * What the network hears, held against what PyTorch 2.13 makes of the same numbers in the same
 * bands ({@code training/beats}), at both ends and where spans of moments meet.
 */
class BeatNetTest {
  private static final int BANDS = 40;
  private static final int FRAMES = 600;

  /** Waves over time and bands, and something that begins every 25 frames. */
  private static float[] frame(int i) {
    float[] bands = new float[BANDS];
    for (int b = 0; b < BANDS; b++) {
      double wave = 3 + 2 * Math.sin(0.37 * i + 0.9 * b) * Math.cos(0.05 * i * b);
      bands[b] = (float) (wave + (i % 25 < 3 ? 1.5 : 0));
    }
    return bands;
  }

  @ParameterizedTest
  @CsvSource({
    "0, -1.9874",
    "1, -2.0002",
    "17, -3.2490",
    "100, -0.6943",
    "254, -2.0404",
    "255, -3.6074",
    "256, -3.6545",
    "257, -4.2702",
    "298, -1.1230",
    "299, -0.6488"
  })
  void hearsWhatTheReferenceHears(int moment, float odds) {
    float[] heard = BeatNet.shipped().in(FRAMES, BeatNetTest::frame);
    assertThat(heard).hasSize(FRAMES / 2);
    assertThat(heard[moment]).isCloseTo(odds, within(1e-3f));
  }

  @Test
  void ofNothingItHearsNothing() {
    assertThat(BeatNet.shipped().in(0, BeatNetTest::frame)).isEmpty();
    assertThat(BeatNet.shipped().in(1, BeatNetTest::frame)).isEmpty();
    assertThat(BeatNet.shipped().in(5, BeatNetTest::frame)).hasSize(2);
  }
}
