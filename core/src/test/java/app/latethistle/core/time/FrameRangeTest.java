package app.latethistle.core.time;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import org.junit.jupiter.api.Test;

class FrameRangeTest {
  @Test
  void isHalfOpen() {
    FrameRange range = FrameRange.ofLength(10, 5);
    assertThat(range).isEqualTo(new FrameRange(10, 15));
    assertThat(range.length()).isEqualTo(5);
    assertThat(range.contains(10)).isTrue();
    assertThat(range.contains(14)).isTrue();
    assertThat(range.contains(15)).isFalse();
    assertThat(range.shift(-3)).isEqualTo(new FrameRange(7, 12));
  }

  @Test
  void cannotEndBeforeItStarts() {
    assertThatIllegalArgumentException().isThrownBy(() -> new FrameRange(3, 2));
  }
}
