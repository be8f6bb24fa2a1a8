package app.latethistle.core.look;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.take.PictureShape;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Moves go where they are told, and never leave the take. */
class FramingPathTest {
  private static final PictureShape WIDE = PictureShape.of(1920, 1080);
  private static final double FILM = 16 / 9.0;

  @Test
  void isTheWholeTakeAtFullSize() {
    Window whole = FramingPath.still(View.WHOLE).at(0.3, WIDE, FILM);
    assertThat(whole).isEqualTo(new Window(960, 540, 1920, 1080, 0));
    Window square = FramingPath.still(View.WHOLE).at(0.3, PictureShape.of(1080, 1080), FILM);
    assertThat(square.width()).isEqualTo(1080);
    assertThat(square.height()).isCloseTo(607.5, within(1e-9));
    // Pixels twice as wide as high: 960 of them are a picture of 1920.
    Window anamorphic = FramingPath.still(View.WHOLE).at(0, new PictureShape(960, 1080, 2), FILM);
    assertThat(anamorphic).isEqualTo(whole);
  }

  /** Both frames have the take's left edge and its top; so has every one between them. */
  @Test
  void whatBothEndsKeepStays() {
    View first = new View(1000, 0, 0, 0);
    View last = new View(2000, -2500, -2500, 0);
    FramingPath path = FramingPath.of(first, last, Easing.SLOW_BOTH);
    for (int k = 0; k <= 20; k++) {
      Window at = path.at(k / 20.0, WIDE, FILM);
      assertThat(at.x() - at.width() / 2).isCloseTo(0, within(1e-9));
      assertThat(at.y() - at.height() / 2).isCloseTo(0, within(1e-9));
    }
  }

  @ParameterizedTest
  @EnumSource(Easing.class)
  void easingGoesFromOneEndToTheOtherAndNeverBack(Easing easing) {
    assertThat(easing.at(0)).isZero();
    assertThat(easing.at(1)).isEqualTo(1);
    assertThat(easing.at(-3)).isZero();
    assertThat(easing.at(7)).isEqualTo(1);
    for (int k = 0; k < 100; k++) {
      assertThat(easing.at((k + 1) / 100.0)).isGreaterThan(easing.at(k / 100.0));
    }
  }

  @Test
  void slowStartsAreSlowAtTheStartAndSlowEndsAtTheEnd() {
    assertThat(Easing.SLOW_START.at(0.1)).isLessThan(0.05);
    assertThat(Easing.SLOW_END.at(0.9)).isGreaterThan(0.95);
    assertThat(Easing.SLOW_BOTH.at(0.1)).isLessThan(0.05);
    assertThat(Easing.SLOW_BOTH.at(0.9)).isGreaterThan(0.95);
    assertThat(Easing.EVEN.at(0.1)).isEqualTo(0.1);
  }

  private static View random(Random random) {
    return new View(
        1000 + random.nextInt(4000),
        random.nextInt(10_001) - 5000,
        random.nextInt(10_001) - 5000,
        random.nextInt(36_001) - 18_000);
  }

  private static PictureShape clip(Random random) {
    return new PictureShape(
        200 + random.nextInt(2000), 200 + random.nextInt(2000), random.nextBoolean() ? 1 : 1.2);
  }

  /** At any time, through any views, turned by anything: all four corners are inside. */
  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void noEdgeIsEverBare(long seed) {
    Random random = new Random(seed);
    for (int run = 0; run < 40; run++) {
      PictureShape clip = clip(random);
      double film = 0.4 + 2 * random.nextDouble();
      FramingPath path =
          new FramingPath(
              List.of(
                  new FramingPath.Point(0, random(random)),
                  new FramingPath.Point(1 + random.nextInt(500), random(random)),
                  new FramingPath.Point(600 + random.nextInt(400), random(random))),
              List.of(Easing.values()).get(random.nextInt(4)),
              0,
              1);
      for (int k = 0; k <= 24; k++) {
        Window at = path.at(k / 24.0, clip, film);
        assertThat(at.width() / at.height()).isCloseTo(film, within(1e-9));
        double across = Math.cos(at.turn());
        double up = Math.sin(at.turn());
        for (int corner = 0; corner < 4; corner++) {
          double a = (corner % 2 - 0.5) * at.width();
          double b = (corner / 2 - 0.5) * at.height();
          assertThat(at.x() + a * across - b * up)
              .isBetween(-1e-6, clip.width() * clip.pixelAspect() + 1e-6);
          assertThat(at.y() + a * up + b * across).isBetween(-1e-6, clip.height() + 1e-6);
        }
      }
    }
  }

  /** What is kept is a view as near as there is, and keeping it again changes nothing. */
  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void aViewThatIsKeptStays(long seed) {
    Random random = new Random(seed);
    PictureShape clip = clip(random);
    View asked = random(random);
    View kept = asked.within(clip, FILM);
    assertThat(kept.turn()).isEqualTo(asked.turn());
    assertThat(kept.size()).isGreaterThanOrEqualTo(asked.size());
    assertThat(kept.within(clip, FILM)).isEqualTo(kept);
    View inside = new View(4000, 100, -100, 0);
    assertThat(inside.within(clip, FILM)).isEqualTo(inside);
  }

  /** Turned by a right angle a wide picture has to be as wide as it was high. */
  @Test
  void theLeastEnlargementThatCoversIsGiven() {
    View turned = new View(1000, 0, 0, 9000).within(WIDE, FILM);
    assertThat(turned.size()).isEqualTo(1778);
    FramingPath path = FramingPath.still(new View(1300, 0, 0, 0));
    assertThat(path.fills(0, WIDE, 3840, FILM)).isCloseTo(2.6, within(1e-9));
  }

  @Test
  void arrivesEarlyAndRests() {
    FramingPath path =
        new FramingPath(
            List.of(
                new FramingPath.Point(0, View.WHOLE),
                new FramingPath.Point(400, View.enlarged(2000))),
            Easing.EVEN,
            0,
            1);
    assertThat(path.at(0.2, WIDE, FILM).width()).isCloseTo(1440, within(1e-9));
    assertThat(path.at(0.4, WIDE, FILM).width()).isEqualTo(960);
    assertThat(path.at(0.9, WIDE, FILM).width()).isEqualTo(960);
  }

  /** The halves of a shot that is split show what the whole showed. */
  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void partsShowWhatTheWholeShows(long seed) {
    Random random = new Random(seed);
    FramingPath path = FramingPath.of(random(random), random(random), Easing.SLOW_START);
    int length = 2 + random.nextInt(200);
    int cut = 1 + random.nextInt(length - 1);
    FramingPath first = path.part(0, (double) cut / length);
    FramingPath second = path.part((double) cut / length, 1);
    for (int k = 0; k < length; k++) {
      Window whole = path.at((k + 0.5) / length, WIDE, FILM);
      Window part =
          k < cut
              ? first.at((k + 0.5) / cut, WIDE, FILM)
              : second.at((k - cut + 0.5) / (length - cut), WIDE, FILM);
      assertThat(part.x()).isCloseTo(whole.x(), within(1e-6));
      assertThat(part.width()).isCloseTo(whole.width(), within(1e-6));
      assertThat(part.turn()).isCloseTo(whole.turn(), within(1e-9));
    }
  }

  @Test
  void whatCannotBeIsRefused() {
    FramingPath.Point start = new FramingPath.Point(0, View.WHOLE);
    assertThatIllegalArgumentException()
        .isThrownBy(() -> new FramingPath(List.of(start), Easing.EVEN, 0, 1))
        .withMessageContaining("two views");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> new FramingPath(List.of(start, start), Easing.EVEN, 0, 1))
        .withMessageContaining("later than the one before");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> new View(999, 0, 0, 0))
        .withMessageContaining("100 to 800 %");
  }
}
