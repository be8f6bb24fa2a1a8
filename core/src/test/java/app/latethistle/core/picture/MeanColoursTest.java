package app.latethistle.core.picture;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class MeanColoursTest {
  @Test
  void eachPartHasItsOwnMean() {
    Frame frame = new Frame(48, 36);
    frame.black();
    // The middle part is light and blue, the last one a little lighter than black.
    for (int y = 12; y < 24; y++) {
      for (int x = 16; x < 32; x++) {
        frame.data()[y * 48 + x] = (byte) 200;
        frame.data()[frame.offset(1) + y / 2 * 24 + x / 2] = (byte) 180;
      }
    }
    frame.data()[35 * 48 + 47] = (byte) (16 + 192);
    List<Float> means = MeanColours.of(frame);
    assertThat(means).hasSize(27);
    assertThat(means.get(4 * 3)).isEqualTo(200);
    assertThat(means.get(4 * 3 + 1)).isEqualTo(180);
    assertThat(means.get(4 * 3 + 2)).isEqualTo(128);
    assertThat(means.get(0)).isEqualTo(16);
    assertThat(means.get(8 * 3)).isEqualTo(17);
  }
}
