package app.latethistle.core.signal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SharpPeakTest {
  /** A sine's peak is its amplitude, wherever samples fall on it: within a twentieth of a dB. */
  @ParameterizedTest
  @CsvSource({"997, 0.3", "6000, 0.785", "12000, 0.785", "15000, 1.1", "19000, 0.2", "21000, 0.6"})
  void findsTheTopOfASine(double hertz, double phase) {
    float[] stereo = new float[2 * 4_800];
    for (int i = 0; i < 4_800; i++) {
      stereo[2 * i] = (float) (0.5 * Math.sin(2 * Math.PI * hertz * i / 48_000 + phase));
      stereo[2 * i + 1] = stereo[2 * i] / 4;
    }
    float most = 0;
    for (int i = 100; i < 4_700; i++) {
      most = Math.max(most, SharpPeak.at(stereo, i));
    }
    assertThat(20 * Math.log10(most / 0.5)).isCloseTo(0, within(0.07));
  }

  /** A single sample is the highest there is of it, also at the ends of what is known. */
  @ParameterizedTest
  @CsvSource({"0", "1", "30", "98", "99"})
  void aSingleSampleIsItsOwnPeak(int at) {
    float[] stereo = new float[200];
    stereo[2 * at + 1] = -0.8f;
    assertThat(SharpPeak.at(stereo, at)).isEqualTo(0.8f);
  }
}
