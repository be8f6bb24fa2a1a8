package app.latethistle.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.music.Section;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class TraitsTest {
  private static Traits looking(Float... values) {
    return new Traits(0.5, 0, 0, 0, Arrays.asList(values));
  }

  private static Traits moving(double right, double down, double zoom) {
    return new Traits(0.5, right, down, zoom, List.of());
  }

  @Test
  void likenessFallsWithTheRootMeanSquareDifference() {
    Traits grey = looking(100f, 100f, 100f, 100f);
    assertThat(grey.likeness(grey)).isEqualTo(1);
    assertThat(grey.likeness(looking(118f, 118f, 118f, 118f))).isCloseTo(0.5, within(1e-9));
    // The same mean square in one part of four: 36 squared is four times 18 squared.
    assertThat(grey.likeness(looking(136f, 100f, 100f, 100f))).isCloseTo(0.5, within(1e-9));
    assertThat(grey.likeness(looking(82f, 118f, 82f, 118f))).isCloseTo(0.5, within(1e-9));
    assertThat(grey.likeness(looking(140f, 140f, 140f, 140f))).isZero();
  }

  @Test
  void whatIsNotKnownIsNotAlike() {
    Traits grey = looking(100f, 100f);
    assertThat(grey.likeness(Traits.NONE)).isZero();
    assertThat(Traits.NONE.likeness(grey)).isZero();
    assertThat(Traits.NONE.likeness(Traits.NONE)).isZero();
    assertThat(grey.likeness(looking(100f))).as("measured in another way").isZero();
  }

  @Test
  void motionGoesOnAlongOrAgainst() {
    assertThat(moving(0.1, 0, 0).carries(moving(0.3, 0, 0))).isCloseTo(1, within(1e-9));
    assertThat(moving(0.1, 0, 0).carries(moving(-0.3, 0, 0))).isCloseTo(-1, within(1e-9));
    assertThat(moving(0.1, 0, 0).carries(moving(0, 0.1, 0))).isZero();
    assertThat(moving(0, 0, 0.1).carries(moving(0, 0, 0.2))).isCloseTo(1, within(1e-9));
    assertThat(moving(0.1, 0.1, 0).carries(moving(0.1, 0, 0)))
        .isCloseTo(Math.sqrt(0.5), within(1e-9));
    // Less than two hundredths of a width is standing still.
    assertThat(moving(0.019, 0, 0).carries(moving(0.3, 0, 0))).isZero();
    assertThat(moving(0.3, 0, 0).carries(moving(0.019, 0, 0))).isZero();
    assertThat(moving(0.02, 0, 0).carries(moving(0.02, 0, 0))).isCloseTo(1, within(1e-9));
  }

  /** The cosine of the angle between two vectors, whatever they are. */
  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void carryingIsACosine(long seed) {
    Random random = new Random(seed);
    double[] a = {random.nextDouble() - 0.5, random.nextDouble() - 0.5, random.nextDouble() - 0.5};
    double[] b = {random.nextDouble() - 0.5, random.nextDouble() - 0.5, random.nextDouble() - 0.5};
    double dot = 0;
    double aa = 0;
    double bb = 0;
    for (int i = 0; i < 3; i++) {
      dot += a[i] * b[i];
      aa += a[i] * a[i];
      bb += b[i] * b[i];
    }
    assertThat(moving(a[0], a[1], a[2]).carries(moving(b[0], b[1], b[2])))
        .isCloseTo(dot / Math.sqrt(aa * bb), within(1e-9));
  }

  @Test
  void sectionsMoveQuickerTheStrongerTheyAre() {
    List<Section> sections =
        List.of(
            new Section(0, 10, 'A', Section.Name.QUIET, 0.2),
            new Section(10, 20, 'B', Section.Name.FULL, 0.8));
    assertThat(Pace.CALM.speeds(sections)).containsExactly(1.0, 1.0);
    // Away from the mean of 0.5 by 0.3 either way, times the contrast.
    List<Double> even = Pace.EVEN.speeds(sections);
    assertThat(even.get(0)).isCloseTo(Math.exp(-0.42), within(1e-9));
    assertThat(even.get(1)).isCloseTo(Math.exp(0.42), within(1e-9));
    assertThat(Pace.BRISK.speeds(sections).get(1)).isCloseTo(Math.exp(0.75), within(1e-9));
    assertThat(Pace.EVEN.speeds(Collections.nCopies(3, sections.get(0))))
        .containsExactly(1.0, 1.0, 1.0);
    assertThat(Pace.EVEN.speeds(List.of())).isEmpty();
  }
}
