package app.latethistle.core.grade;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.picture.Frame;
import java.util.Arrays;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Of pictures whose levels are known; against ffmpeg's own scopes in the tests of media. */
class ScopesTest {
  private static Frame flat(int luma, int cb, int cr) {
    Frame frame = new Frame(32, 18);
    Arrays.fill(frame.data(), 0, frame.offset(1), (byte) luma);
    Arrays.fill(frame.data(), frame.offset(1), frame.offset(2), (byte) cb);
    Arrays.fill(frame.data(), frame.offset(2), frame.data().length, (byte) cr);
    return frame;
  }

  @Test
  void eachSampleIsCountedOnce() {
    Scopes scopes = Scopes.of(flat(126, 128, 128));
    assertThat(scopes.luma().at(5, 126)).isEqualTo(18);
    assertThat(scopes.red().at(5, 126)).isEqualTo(18);
    assertThat(scopes.vectors().at(128, 128)).isEqualTo(16 * 9);
    assertThat(IntStream.of(Scopes.histogram(scopes.luma())).sum()).isEqualTo(32 * 18);
    assertThat(scopes.beyond()).isEqualTo(new Scopes.Beyond(0, 0, 0));
  }

  @Test
  void redOfColourBarsStandsWhereTheStandardPutsIt() {
    // 75 % red of BT.709 in 8 bits: Y 51, Cb 109, Cr 212 (ITU-R BT.1729's bars, from memory).
    Scopes scopes = Scopes.of(flat(51, 109, 212));
    int level = (int) Math.round(16 + 0.75 * 219);
    assertThat(near(scopes.red(), level)).isEqualTo(18);
    assertThat(near(scopes.green(), 16)).isEqualTo(18);
    assertThat(near(scopes.blue(), 16)).isEqualTo(18);
  }

  private static int near(Counts counts, int level) {
    return counts.at(0, level - 1) + counts.at(0, level) + counts.at(0, level + 1);
  }

  @Test
  void whatMayNotBeBroadcastIsTold() {
    Frame frame = flat(126, 128, 128);
    frame.data()[0] = (byte) 240;
    frame.data()[1] = (byte) 5;
    Scopes.Beyond beyond = Scopes.of(frame).beyond();
    assertThat(beyond.above()).isEqualTo(1 / 576.0);
    assertThat(beyond.below()).isEqualTo(1 / 576.0);
    assertThat(Scopes.of(flat(200, 128, 240)).beyond().outside()).isEqualTo(1);
  }
}
