package app.latethistle.core.signal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Signals of EBU Tech 3341: 1 kHz in phase on both channels; tolerance 0.1 LU. */
class LoudnessTest {
  @ParameterizedTest
  @CsvSource({
    "-23:20, -23",
    "-33:20, -33",
    "-36:10 -23:60 -36:10, -23",
    "-72:10 -36:10 -23:60 -36:10 -72:10, -23",
    "-26:20 -20:20.1 -26:20, -23"
  })
  void measuresTheSignalsOfTheStandard(String steps, double expected) {
    assertThat(Loudness.integrated(tones(steps))).isCloseTo(expected, offset(0.1));
  }

  @Test
  void blocksMeasureAsTheWholeDoes() {
    float[] sound = tones("-36:3.3 -20:2.7 -50:1");
    Loudness.Meter meter = new Loudness.Meter();
    for (int at = 0; at < sound.length; at += 2 * 7_777) {
      float[] block = Arrays.copyOfRange(sound, at, Math.min(sound.length, at + 2 * 7_777));
      meter.add(block, block.length / 2);
    }
    assertThat(meter.integrated()).isEqualTo(Loudness.integrated(sound));
  }

  @ParameterizedTest
  @CsvSource({"-100:3", "-100:0.1"})
  void silenceIsSilent(String steps) {
    assertThat(Loudness.integrated(tones(steps))).isEqualTo(Loudness.SILENT);
  }

  /** Tech 3341 (2016), table 1, numbers 9 and 12: what is read after 3 s and after 1 s. */
  @Test
  void theLoudestMomentsAreThoseOfTheStandardsSignals() {
    Loudness.Meter shortTerm = metered("-20:1.34 -30:1.66 ".repeat(5).strip());
    assertThat(shortTerm.shortTermMax()).isCloseTo(-23, offset(0.1));
    Loudness.Meter momentary = metered("-20:0.18 -30:0.22 ".repeat(25).strip());
    assertThat(momentary.momentaryMax()).isCloseTo(-23, offset(0.1));
  }

  /** Tech 3342 (2016), table 1; tolerance 1 LU. */
  @ParameterizedTest
  @CsvSource({
    "-20:20 -30:20, 10",
    "-20:20 -15:20, 5",
    "-40:20 -20:20, 20",
    "-50:20 -35:20 -20:20 -35:20 -50:20, 15"
  })
  void theRangeIsThatOfTheStandardsSignals(String steps, double expected) {
    assertThat(metered(steps).range()).isCloseTo(expected, offset(1.0));
  }

  private static Loudness.Meter metered(String steps) {
    float[] sound = tones(steps);
    Loudness.Meter meter = new Loudness.Meter();
    meter.add(sound, sound.length / 2);
    return meter;
  }

  /** Tones of so many dBFS for so many seconds, one after the other. */
  private static float[] tones(String steps) {
    float[] stereo = new float[0];
    for (String step : steps.split(" ")) {
      double level = Math.pow(10, Double.parseDouble(step.split(":")[0]) / 20);
      int frames = (int) Math.round(48_000 * Double.parseDouble(step.split(":")[1]));
      int from = stereo.length / 2;
      stereo = Arrays.copyOf(stereo, stereo.length + 2 * frames);
      for (int i = from; i < from + frames; i++) {
        float value = (float) (level * Math.sin(2 * Math.PI * 1000 * i / 48_000));
        stereo[2 * i] = value;
        stereo[2 * i + 1] = value;
      }
    }
    return stereo;
  }
}
