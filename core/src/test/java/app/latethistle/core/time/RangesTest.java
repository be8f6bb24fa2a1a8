package app.latethistle.core.time;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Half-open ranges against counting their units out. */
class RangesTest {
  private static FrameRange range(Random random) {
    long start = random.nextInt(40) - 20L;
    return new FrameRange(start, start + random.nextInt(12));
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#many")
  void whatTwoHaveInCommonIsWhatIsInBoth(long seed) {
    Random random = new Random(seed);
    FrameRange a = range(random);
    FrameRange b = range(random);
    long common = 0;
    for (long unit = -30; unit < 40; unit++) {
      boolean both = a.contains(unit) && b.contains(unit);
      common += both ? 1 : 0;
      if (both) {
        assertThat(a.intersect(b).orElseThrow().contains(unit)).isTrue();
      }
    }
    assertThat(a.intersect(b).map(FrameRange::length).orElse(0L)).isEqualTo(common);
    assertThat(a.overlaps(b)).isEqualTo(common > 0);
    assertThat(a.intersect(b)).isEqualTo(b.intersect(a));
    assertThat(a.contains(b)).isEqualTo(b.start() >= a.start() && b.end() <= a.end());
    long by = random.nextInt(100) - 50L;
    assertThat(a.shift(by).length()).isEqualTo(a.length());
    assertThat(a.shift(by).shift(-by)).isEqualTo(a);
    assertThat(a.isEmpty()).isEqualTo(a.length() == 0);
  }

  @Test
  void rangesThatFollowEachOtherShareNothing() {
    SampleRange first = new SampleRange(0, 48);
    assertThat(first.intersect(new SampleRange(48, 96))).isEmpty();
    assertThat(first.contains(48)).isFalse();
    assertThat(SampleRange.ofLength(10, 5)).isEqualTo(new SampleRange(10, 15));
    assertThatIllegalArgumentException()
        .isThrownBy(() -> new SampleRange(3, 2))
        .withMessageContaining("3 to 2");
  }
}
