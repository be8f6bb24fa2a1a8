package app.latethistle.core.time;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TimecodeTest {
  private static final FrameRate NTSC = FrameRate.of(30000, 1001);

  @ParameterizedTest
  @CsvSource({
    "24, 0, 00:00:00:00",
    "24, 1409, 00:00:58:17",
    "24000/1001, 86400, 01:00:00:00",
    "25, 1499, 00:00:59:24",
    "30000/1001, 1799, 00:00:59;29",
    "30000/1001, 1800, 00:01:00;02",
    "30000/1001, 17981, 00:09:59;29",
    "30000/1001, 17982, 00:10:00;00",
    "30000/1001, 107892, 01:00:00;00",
    "60000/1001, 3600, 00:01:00;04",
  })
  void labelsFramesAsSmpte12m1Does(String rate, long frame, String label) {
    assertThat(Timecode.of(frame, FrameRate.parse(rate))).hasToString(label);
  }

  /**
   * SMPTE ST 12-1, drop-frame compensation, counted out: labels 00 and 01 are left out at the start
   * of each minute except minutes 0, 10, 20, 30, 40 and 50.
   */
  @Test
  void agreesWithCountingOutAnHourOfDropFrameLabels() {
    long frame = 0;
    for (int minute = 0; minute < 61; minute++) {
      for (int second = 0; second < 60; second++) {
        boolean drops = second == 0 && minute % 10 != 0;
        for (int f = drops ? 2 : 0; f < 30; f++) {
          Timecode label = Timecode.of(frame, NTSC);
          assertThat(label.minutes() + 60 * label.hours()).isEqualTo(minute);
          assertThat(label.seconds()).isEqualTo(second);
          assertThat(label.frames()).isEqualTo(f);
          frame++;
        }
      }
    }
  }

  @Test
  void refusesNegativeFrames() {
    assertThatIllegalArgumentException().isThrownBy(() -> Timecode.of(-1, FrameRate.FPS_24));
  }
}
