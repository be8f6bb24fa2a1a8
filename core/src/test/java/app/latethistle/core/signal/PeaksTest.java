package app.latethistle.core.signal;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class PeaksTest {
  @Test
  void aSineHasItsPeakAndItsRootMeanSquare() {
    float[] samples = new float[48_000];
    for (int i = 0; i < samples.length; i++) {
      samples[i] = i < 24_000 ? 0 : (float) (0.8 * Math.sin(2 * Math.PI * 441 * i / 48_000.0));
    }
    Peaks peaks = Peaks.of(new MonoSound(samples, 48_000), 100);
    assertThat(peaks.peak()).hasSize(100);
    assertThat(peaks.peak()[10]).isZero();
    assertThat(peaks.peak()[75] & 255).isBetween(202, 204);
    assertThat(peaks.body()[75] & 255).isBetween(141, 148);
  }

  @Test
  void whatIsLouderThanFullScaleIsFullScale() {
    float[] samples = {2, -3, 1, 0.5f};
    Peaks peaks = Peaks.of(new MonoSound(samples, 8_000), 8_000);
    assertThat(peaks.peak()[1] & 255).isEqualTo(255);
  }
}
