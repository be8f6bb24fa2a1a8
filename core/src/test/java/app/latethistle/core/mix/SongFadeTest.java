package app.latethistle.core.mix;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import org.junit.jupiter.api.Test;

class SongFadeTest {
  @Test
  void isARaisedCosineOverTheEnd() {
    assertThat(SongFade.gain(0, 100, 40)).isEqualTo(1);
    assertThat(SongFade.gain(60, 100, 40)).isEqualTo(1);
    assertThat(SongFade.gain(80, 100, 40)).isCloseTo(0.5, within(1e-9));
    assertThat(SongFade.gain(70, 100, 40)).isCloseTo((1 + Math.cos(Math.PI / 4)) / 2, within(1e-9));
    assertThat(SongFade.gain(100, 100, 40)).isCloseTo(0, within(1e-9));
    assertThat(SongFade.gain(99, 100, 0)).isEqualTo(1);
  }

  @Test
  void fadesBothChannelsAndOnlyTheEnd() {
    float[] stereo = new float[2000];
    Arrays.fill(stereo, 1);
    SongFade.apply(stereo, 400);
    for (int i = 0; i < 1000; i++) {
      assertThat(stereo[2 * i]).isEqualTo(stereo[2 * i + 1]);
      assertThat((double) stereo[2 * i]).isCloseTo(SongFade.gain(i, 1000, 400), within(1e-6));
    }
    assertThat(stereo[1199]).isEqualTo(1);
    assertThat(stereo[1999]).isLessThan(0.001f);
  }
}
