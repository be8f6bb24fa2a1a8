package app.latethistle.core.mix;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.signal.Loudness;
import app.latethistle.core.signal.PeakMeter;
import app.latethistle.core.sound.Bus;
import app.latethistle.core.time.SampleRange;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LoudnessAimTest {
  private static final int FRAMES = 10 * 48_000;

  /** Noise that swells, with clicks far over it. */
  private static float[] lively() {
    Random random = new Random(4);
    float[] stereo = new float[2 * FRAMES];
    for (int i = 0; i < FRAMES; i++) {
      double swell = 0.03 + 0.05 * Math.abs(Math.sin(i / 30_000.0));
      double click = i % 24_000 < 60 ? 8 : 1;
      stereo[2 * i] = (float) (swell * click * random.nextGaussian());
      stereo[2 * i + 1] = (float) (swell * click * random.nextGaussian());
    }
    return stereo;
  }

  private static Mix mix() {
    Part part = new Part(Bus.MUSIC, "song", new SampleRange(0, FRAMES), new Course.Straight(0), 0);
    return new Mix(List.of(part), FRAMES, 0);
  }

  @ParameterizedTest
  @CsvSource({"-14, -1", "-16, -1", "-23, -1", "-14, -3"})
  void aFilmLeavesAsLoudAsIsAskedUnderItsCeiling(double loudness, double ceiling)
      throws IOException {
    SoundSource source = new Tones(Map.of("song", lively()));
    Level level = new LoudnessAim(loudness, ceiling).levelOf(mix(), source);
    Loudness.Meter meter = new Loudness.Meter();
    PeakMeter peaks = new PeakMeter();
    try (Mixer mixer = new Mixer(mix().with(level), source)) {
      mixer.mix(
          new SampleRange(0, FRAMES),
          (stereo, frames) -> {
            meter.add(stereo, frames);
            peaks.add(stereo, frames);
          });
    }
    assertThat(meter.integrated()).isCloseTo(loudness, within(0.1));
    assertThat(peaks.decibels()).isLessThanOrEqualTo(ceiling);
  }

  @Test
  void silenceStaysAsItIs() throws IOException {
    SoundSource source = new Tones(Map.of("song", new float[2 * FRAMES]));
    assertThat(new LoudnessAim(-14, -1).levelOf(mix(), source)).isEqualTo(Level.AS_MIXED);
  }

  @Test
  void anotherLevelHasAnotherKey() {
    SampleRange range = new SampleRange(0, 48_000);
    assertThat(mix().with(new Level(3, -1)).key(range)).isNotEqualTo(mix().key(range));
    assertThat(mix().with(Level.AS_MIXED).key(range)).isEqualTo(mix().key(range));
  }

  @Test
  void whatCannotBeIsSaid() {
    assertThatThrownBy(() -> new LoudnessAim(0, -1)).hasMessageContaining("-40 to -5 LUFS");
    assertThatThrownBy(() -> new LoudnessAim(-14, 2)).hasMessageContaining("-20 to 0 dBTP");
  }
}
