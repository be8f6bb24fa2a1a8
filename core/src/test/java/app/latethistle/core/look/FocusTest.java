package app.latethistle.core.look;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.take.PictureShape;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What a part of a shot shows of the shot's focus. */
class FocusTest {
  private static final PictureShape TAKE = PictureShape.of(1000, 1000);
  private static final double WIDE = 16 / 9.0;
  private static final View CLOSE = View.enlarged(8000);

  /** In thousandths of the take: half a thousandth of a part's time is much where it is quick. */
  private static final double ROUNDED = 2.5;

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10})
  void theFocusOfAPartIsWhereTheWholeOnesIs(long seed) {
    Random random = new Random(seed);
    Focus whole =
        new Focus(
            List.of(
                new Focus.Point(0, random.nextInt(1001), random.nextInt(1001)),
                new Focus.Point(500, random.nextInt(1001), random.nextInt(1001)),
                new Focus.Point(1000, random.nextInt(1001), random.nextInt(1001))),
            200,
            300,
            0,
            1);
    double start = random.nextDouble() / 2;
    Focus part = whole.part(start, start + 0.1 + random.nextDouble() * (0.9 - start));
    Focus shown = part.shown();
    assertThat(shown.from()).isZero();
    assertThat(shown.to()).isOne();
    for (double time = 0; time <= 1; time += 0.05) {
      Window one = part.followedBy(CLOSE).at(time, TAKE, WIDE);
      Window other = shown.followedBy(CLOSE).at(time, TAKE, WIDE);
      assertThat(other.x()).isCloseTo(one.x(), within(ROUNDED));
      assertThat(other.y()).isCloseTo(one.y(), within(ROUNDED));
    }
  }

  @ParameterizedTest
  @ValueSource(doubles = {0, 0.3})
  void aFocusThatStaysIsOnePlace(double from) {
    Focus part = new Focus(List.of(new Focus.Point(0, 400, 600)), 0, 0, from, 1);
    assertThat(part.shown()).isEqualTo(new Focus(part.points(), 0, 0, 0, 1));
  }
}
