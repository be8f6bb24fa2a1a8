package app.latethistle.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.story.CameraMove;
import app.latethistle.core.take.Box;
import java.awt.geom.AffineTransform;
import java.awt.geom.Point2D;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Travels held against the JDK's own transforms. */
class TravelTest {
  private static Travel travel(Random random) {
    return new Travel(
        random.nextDouble() - 0.5,
        random.nextDouble() - 0.5,
        0.5 + random.nextDouble(),
        90 * (random.nextDouble() - 0.5));
  }

  private static AffineTransform transform(Travel t) {
    AffineTransform transform = AffineTransform.getTranslateInstance(t.right(), t.down());
    transform.rotate(Math.toRadians(t.turn()));
    transform.scale(t.zoom(), t.zoom());
    return transform;
  }

  private static void same(AffineTransform a, AffineTransform b) {
    double[] x = new double[6];
    double[] y = new double[6];
    a.getMatrix(x);
    b.getMatrix(y);
    assertThat(x).containsExactly(y, within(1e-9));
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void oneAfterTheOtherIsTheProductOfTheTransforms(long seed) {
    Random random = new Random(seed);
    Travel first = travel(random);
    Travel next = travel(random);
    AffineTransform both = transform(next);
    both.concatenate(transform(first));
    same(transform(first.then(next)), both);
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void theWayBackLeadsBack(long seed) {
    Travel there = travel(new Random(seed));
    same(transform(there.then(there.inverse())), new AffineTransform());
    same(transform(there.inverse().then(there)), new AffineTransform());
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void aPointMovesAsFarAsTheTransformMovesIt(long seed) {
    Random random = new Random(seed);
    Travel travel = travel(random);
    Point2D from = new Point2D.Double(random.nextDouble() - 0.5, random.nextDouble() - 0.5);
    Point2D to = transform(travel).transform(from, null);
    assertThat(travel.distanceAt(from.getX(), from.getY()))
        .isCloseTo(from.distance(to), within(1e-9));
  }

  @Test
  void theGreatestIsMeasuredAtTheEdge() {
    assertThat(new Travel(0.02, -0.03, 1, 0).greatest()).isCloseTo(0.03, within(1e-12));
    assertThat(new Travel(0.02, 0, 1.1, 0).greatest()).isCloseTo(0.05, within(1e-12));
    assertThat(new Travel(0.02, 0, 0.9, 0).greatest()).isCloseTo(0.05, within(1e-12));
    // Five degrees move a point half a width away by 0.0436 widths along its circle.
    assertThat(new Travel(0.02, 0, 1, 5).greatest()).isCloseTo(0.0436, within(1e-4));
    assertThat(Travel.NONE.greatest()).isZero();
  }

  @ParameterizedTest
  @CsvSource({
    "0, 0, 1.2, 0, push in, 10",
    "0, 0, 0.8, 0, pull out, 10",
    "0, 0, 1, 12, roll, 10",
    "0.2, 0, 1, 0, pan left, 20",
    "-0.2, 0.1, 1, 0, pan right, 20",
    "0.1, 0.2, 1, 0, tilt up, 20",
    "0, -0.2, 1.1, 0, tilt down, 20",
    "0.009, 0, 1.01, 0, still, 1"
  })
  void theGreatestMovementNamesTheMove(
      double right, double down, double zoom, double turn, String name, double percent) {
    MoveVerdict verdict = MoveVerdict.of(CameraMove.FOLLOW, new Travel(right, down, zoom, turn));
    assertThat(verdict.measured()).isEqualTo(name);
    assertThat(verdict.percent()).isCloseTo(percent, within(0.5));
  }

  @ParameterizedTest
  @CsvSource({
    "STILL, 0.009, 0, 1, AS_ASKED",
    "STILL, 0.02, 0, 1, OTHER",
    "PUSH_IN, 0, 0, 1.1, AS_ASKED",
    "PUSH_IN, 0.04, 0, 1.05, AS_ASKED",
    "PUSH_IN, 0.06, 0, 1.05, OTHER",
    "PUSH_IN, 0, 0, 1.01, WEAK",
    "PUSH_IN, 0, 0, 0.9, OTHER",
    "PULL_OUT, 0, 0, 0.9, AS_ASKED",
    "PULL_OUT, 0, 0, 1.1, OTHER",
    "PAN_RIGHT, -0.1, 0, 1, AS_ASKED",
    "PAN_RIGHT, 0.1, 0, 1, OTHER",
    "PAN_LEFT, 0.1, 0, 1, AS_ASKED",
    "PAN_LEFT, 0.005, 0, 1, WEAK",
    "TILT_UP, 0, 0.1, 1, AS_ASKED",
    "RISE, 0, 0.1, 1, AS_ASKED",
    "TILT_DOWN, 0, -0.1, 1, AS_ASKED",
    "TILT_DOWN, 0, 0.1, 1, OTHER",
    "ORBIT, -0.1, 0, 1, AS_ASKED",
    "ORBIT, 0.1, 0, 1, AS_ASKED",
    "ORBIT, 0, 0.1, 1, OTHER",
    "FOLLOW, 0, 0.1, 1, AS_ASKED",
    "FOLLOW, 0, 0.005, 1, WEAK"
  })
  void aMoveIsAsAskedIfEnoughOfItGoesThatWay(
      CameraMove asked, double right, double down, double zoom, MoveVerdict.Match match) {
    assertThat(MoveVerdict.of(asked, new Travel(right, down, zoom, 0)).match()).isEqualTo(match);
  }

  @Test
  void saysBothInWords() {
    assertThat(MoveVerdict.of(CameraMove.PUSH_IN, new Travel(0, 0, 0.84, 0)).inWords())
        .isEqualTo("asked push in, measured pull out 8 %");
    assertThat(MoveVerdict.of(CameraMove.PAN_LEFT, Travel.NONE).inWords())
        .isEqualTo("asked pan left, measured still");
  }

  @Test
  void boxesOverlapByWhatTheyShare() {
    Box box = new Box(0, 0, 0.5, 0.5);
    assertThat(box.overlap(box)).isCloseTo(1, within(1e-12));
    assertThat(box.overlap(new Box(0.25, 0, 0.75, 0.5))).isCloseTo(1 / 3.0, within(1e-12));
    assertThat(box.overlap(new Box(0.5, 0.5, 1, 1))).isZero();
    assertThat(box.overlap(new Box(0.6, 0, 1, 1))).isZero();
  }
}
