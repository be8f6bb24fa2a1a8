package app.latethistle.core.film;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.time.FrameRange;
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
    long enough = 1000;
    FrameRange shown = run.shown(in, enough, n);
    assertThat(shown.start()).isEqualTo(in);
    assertThat(run.missing(in, shown.end(), n)).isZero();
    if (!run.endless()) {
      assertThat(run.missing(in, shown.end() - 3, n)).isEqualTo(3);
    }
    for (long k = 0; k < n; k++) {
      assertThat(run.frame(in, enough, k, n)).isBetween((double) in, shown.end() - 1.0);
    }
    // It is used whole: the last of its frames is reached, but for less than one.
    double least = Math.min(run.frame(in, enough, 0, n), run.frame(in, enough, n - 1, n));
    double most = Math.max(run.frame(in, enough, 0, n), run.frame(in, enough, n - 1, n));
    if (!run.endless()) {
      assertThat(least).isLessThan(in + 1.0);
      assertThat(most).isGreaterThan(shown.end() - 2.0);
    }
  }

  @Test
  void itGoesOnPastItsTakesEndsWhereOneAsksForIt() {
    assertThat(Run.at(200).position(10, 100, -3, 20)).isEqualTo(4);
    assertThat(Run.at(50).position(0, 100, -3, 20)).isEqualTo(-1.5);
    assertThat(Run.at(50).frame(0, 100, -3, 20)).isZero();
    Run slower = new Run(Run.Way.FORWARD, 200, 100, Run.Between.NEAREST);
    // 150 % in the mean over 20 frames, then on at 100 %, and before them at 200 %.
    assertThat(slower.position(0, 100, 20, 20)).isEqualTo(30);
    assertThat(slower.position(0, 100, 24, 20)).isEqualTo(34);
    assertThat(slower.position(0, 100, -2, 20)).isEqualTo(-4);
    Run back = Run.PLAIN.withWay(Run.Way.REVERSE);
    assertThat(back.position(5, 100, 0, 10)).isEqualTo(14);
    assertThat(back.position(5, 100, 12, 10)).isEqualTo(2);
    assertThat(back.missing(5, 10, 10)).isEqualTo(5);
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void aSpeedThatChangesCoversWhatItsMeanDoes(long seed) {
    Random random = new Random(seed);
    Run run = Films.run(random).withWay(Run.Way.FORWARD);
    double mean = (run.from() + run.to()) / 200.0;
    assertThat(run.covered(50)).isCloseTo(50 * mean, within(1e-9));
    // Counted out frame by frame, at each the speed half-way through it.
    for (int k = 1; k <= 50; k++) {
      double speed = (run.from() + (run.to() - run.from()) * (k - 0.5) / 50) / 100;
      double step = run.position(0, 1000, k, 50) - run.position(0, 1000, k - 1, 50);
      assertThat(step).isCloseTo(speed, within(1e-9));
    }
  }

  @Test
  void aPartOfARunHasTheSpeedsOfThatPart() {
    Run run = new Run(Run.Way.FORWARD, 100, 200, Run.Between.NEAREST, 40, 10);
    assertThat(run.speed(0, 20)).isEqualTo(125);
    assertThat(run.speed(20, 20)).isEqualTo(175);
    assertThat(run.speed(100, 20)).isEqualTo(200);
    assertThat(new Run(Run.Way.FORWARD, 50, 80, Run.Between.NEAREST).speed(9, 9)).isEqualTo(80);
  }

  @Test
  void speedsHaveLimits() {
    assertThatIllegalArgumentException()
        .isThrownBy(() -> Run.at(24))
        .withMessageContaining("25 to 400 %");
    assertThatIllegalArgumentException().isThrownBy(() -> Run.at(401));
    assertThatIllegalArgumentException()
        .isThrownBy(() -> new Run(Run.Way.HOLD, 100, 100, Run.Between.NEAREST, -1, 0));
  }
}
