package app.latethistle.core.mix;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.sound.DuckingRule;
import app.latethistle.core.time.SampleRange;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.function.LongUnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class DuckingTest {
  private static final long SECOND = 48_000;

  private static Ducking.Need need(String id, double from, double to, double needed) {
    return new Ducking.Need(
        id, new SampleRange(Math.round(from * SECOND), Math.round(to * SECOND)), needed);
  }

  private static Ducking of(Map<String, Double> byHand, Ducking.Need... needs) {
    return Ducking.of(DuckingRule.USUAL, byHand, List.of(needs), LongUnaryOperator.identity());
  }

  private static double at(Ducking ducking, double seconds) {
    return ducking.lid().at(Math.round(seconds * SECOND));
  }

  @Test
  void goesDownBeforeALineAndComesBackAfterIt() {
    Ducking ducking = of(Map.of(), need("a", 2, 4, -8));
    assertThat(at(ducking, 1.7)).isZero();
    assertThat(at(ducking, 1.875)).isCloseTo(-4, within(0.01));
    assertThat(at(ducking, 2)).isEqualTo(-8);
    assertThat(at(ducking, 4)).isEqualTo(-8);
    assertThat(at(ducking, 4.25)).isCloseTo(-4, within(0.01));
    assertThat(at(ducking, 4.6)).isZero();
  }

  @Test
  void shortGapsDoNotPumpAndLongOnesDo() {
    Ducking ducking =
        of(Map.of(), need("a", 2, 4, -8), need("b", 4.8, 6, -4), need("c", 9, 10, -6));
    assertThat(at(ducking, 4.4)).isCloseTo(-6, within(0.01));
    assertThat(at(ducking, 5)).isEqualTo(-4);
    assertThat(at(ducking, 7.5)).isZero();
    assertThat(at(ducking, 9.5)).isEqualTo(-6);
  }

  @Test
  void whatWasSetByHandWinsAndTheRuleIsStillTold() {
    Ducking ducking = of(Map.of("b", -2.0), need("a", 2, 4, -8), need("b", 8, 9, -7));
    assertThat(at(ducking, 8.5)).isEqualTo(-2);
    assertThat(ducking.lines())
        .extracting(Ducking.Low::byRule, Ducking.Low::gain, Ducking.Low::byHand)
        .containsExactly(
            org.assertj.core.groups.Tuple.tuple(-8.0, -8.0, false),
            org.assertj.core.groups.Tuple.tuple(-7.0, -2.0, true));
  }

  @Test
  void beginsOnABeatWhenAsked() {
    DuckingRule rule = new DuckingRule(10, 250, 500, 1000, true, false);
    Ducking ducking =
        Ducking.of(rule, Map.of(), List.of(need("a", 2, 4, -8)), at -> at / SECOND * SECOND);
    assertThat(at(ducking, 1)).isZero();
    assertThat(at(ducking, 1.5)).isCloseTo(-4, within(0.01));
  }

  /** Whatever lines there are: under each at least as low as asked, nothing where nobody speaks. */
  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void isAsLowAsEachLineAsksAndZeroFarFromAll(long seed) {
    Random random = new Random(seed);
    Ducking.Need[] needs = new Ducking.Need[6];
    double from = 0;
    for (int i = 0; i < needs.length; i++) {
      from += 0.05 + 3 * random.nextDouble();
      double to = from + 0.4 + 2 * random.nextDouble();
      needs[i] = need("line" + i, from, to, -random.nextInt(20));
      from = to;
    }
    Ducking ducking = of(Map.of(), needs);
    for (Ducking.Need need : needs) {
      assertThat(ducking.lid().at((need.at().start() + need.at().end()) / 2))
          .isCloseTo(need.needed(), within(1e-9));
    }
    for (double t = 0; t < from + 2; t += 0.01) {
      double now = t;
      boolean far = true;
      for (Ducking.Need need : needs) {
        far &=
            now < need.at().start() / (double) SECOND - 0.26
                || now > need.at().end() / (double) SECOND + 1.01;
      }
      if (far) {
        assertThat(at(ducking, now)).isZero();
      }
    }
  }
}
