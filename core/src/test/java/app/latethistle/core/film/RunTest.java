package app.latethistle.core.film;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class RunTest {
  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#many")
  void itUsesNoMoreOfATakeThanItSays(long seed) {
    Random random = new Random(seed);
    Run run = Films.run(random);
    long n = 1 + random.nextLong(80);
    long in = random.nextInt(30);
    long material = in + run.used(n) + random.nextInt(20);
    assertThat(run.missing(in, material, n)).isZero();
    boolean endless = run.way() == Run.Way.HOLD || run.way() == Run.Way.BACK_AND_FORTH;
    if (!endless) {
      assertThat(run.missing(in, in + run.used(n) - 3, n)).isEqualTo(3);
    }
    for (long k = 0; k < n; k++) {
      double frame = run.frame(in, material, k, n);
      double last = endless ? material - 1 : in + run.used(n) - 1;
      assertThat(frame).isBetween((double) in, last);
    }
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void aSpeedThatChangesCoversWhatItsMeanDoes(long seed) {
    Random random = new Random(seed);
    Run run = Films.run(random).withWay(Run.Way.FORWARD);
    double mean = (run.from() + run.to()) / 200.0;
    assertThat(run.covered(50, 50)).isCloseTo(50 * mean, within(1e-9));
    // Counted out frame by frame, at each the speed half-way through it.
    double sum = 0;
    for (int k = 0; k < 50; k++) {
      sum += (run.from() + (run.to() - run.from()) * (k + 0.5) / 50) / 100;
    }
    assertThat(sum).isCloseTo(50 * mean, within(1e-9));
  }

  @Test
  void speedsHaveLimits() {
    assertThatIllegalArgumentException()
        .isThrownBy(() -> Run.at(24))
        .withMessageContaining("25 to 400 %");
    assertThatIllegalArgumentException().isThrownBy(() -> Run.at(401));
  }
}
