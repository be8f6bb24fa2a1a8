package app.latethistle.core.picture;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.look.Parameter;
import app.latethistle.core.look.TreatmentKind;
import app.latethistle.core.picture.TreatmentPainter.Setting;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What holds of each treatment by itself; those of ffmpeg are in the tests of media. */
class TreatmentPainterTest {
  private static final int WIDTH = 160;
  private static final int HEIGHT = 90;
  private static final List<TreatmentKind> WITHOUT_AMOUNT =
      List.of(
          TreatmentKind.MIRROR, TreatmentKind.POSTERISE, TreatmentKind.INSET, TreatmentKind.BARS);

  /** A picture with soft shapes, an edge, light, dark and colour. */
  private static Frame scene() {
    Frame frame = new Frame(WIDTH, HEIGHT);
    for (int y = 0; y < HEIGHT; y++) {
      for (int x = 0; x < WIDTH; x++) {
        double value = 90 + 50 * Math.sin(x / 11.0) * Math.cos(y / 7.0) + (x > 110 ? 60 : 0);
        frame.data()[y * WIDTH + x] = (byte) Math.round(value);
      }
    }
    for (int i = frame.offset(1); i < frame.data().length; i++) {
      frame.data()[i] = (byte) (i < frame.offset(2) ? 110 : 150);
    }
    return frame;
  }

  private static Frame flat(int luma) {
    Frame frame = new Frame(WIDTH, HEIGHT);
    frame.black();
    Arrays.fill(frame.data(), 0, WIDTH * HEIGHT, (byte) luma);
    return frame;
  }

  private static Frame drawn(TreatmentKind kind, Frame from, double seconds, Double... values) {
    Frame into = new Frame(WIDTH, HEIGHT);
    TreatmentPainter.of(kind, WIDTH, HEIGHT)
        .draw(from, into, new Setting(List.of(values), seconds, 7));
    return into;
  }

  private static Double[] usual(TreatmentKind kind) {
    Double[] values =
        kind.parameters().stream().map(p -> (double) p.usual()).toArray(Double[]::new);
    if (kind == TreatmentKind.PLANES) {
      values[0] = 30.0; // it moves by whole pixels, and there are few here
    }
    return values;
  }

  private static double mean(Frame frame) {
    double sum = 0;
    for (int i = 0; i < WIDTH * HEIGHT; i++) {
      sum += frame.data()[i] & 0xff;
    }
    return sum / (WIDTH * HEIGHT);
  }

  private static double noiseOf(Frame frame, Frame clean) {
    double squares = 0;
    for (int i = 0; i < WIDTH * HEIGHT; i++) {
      double off = (frame.data()[i] & 0xff) - (clean.data()[i] & 0xff);
      squares += off * off;
    }
    return Math.sqrt(squares / (WIDTH * HEIGHT));
  }

  /** What is of colour alone is done by a table; what is not chosen usually does nothing. */
  private static Stream<TreatmentKind> painted() {
    return Stream.of(TreatmentKind.values()).filter(k -> k.chosen() && !k.ofColour());
  }

  @ParameterizedTest
  @MethodSource("painted")
  void isTheSameEachTimeAndLeavesWhatItIsGiven(TreatmentKind kind) {
    Frame from = scene();
    byte[] before = from.data().clone();
    TreatmentPainter painter = TreatmentPainter.of(kind, WIDTH, HEIGHT);
    Setting setting = new Setting(List.of(usual(kind)), 1.5, 3);
    Frame first = new Frame(WIDTH, HEIGHT);
    painter.draw(from, first, setting);
    Frame between = new Frame(WIDTH, HEIGHT);
    painter.draw(flat(200), between, new Setting(List.of(usual(kind)), 9, 4));
    Frame again = new Frame(WIDTH, HEIGHT);
    painter.draw(from, again, setting);
    assertThat(again.data()).isEqualTo(first.data());
    assertThat(from.data()).isEqualTo(before);
    assertThat(first.data()).as("something is done").isNotEqualTo(before);
  }

  @ParameterizedTest
  @MethodSource("painted")
  void doesNothingWhereItsAmountsAreNothing(TreatmentKind kind) {
    if (kind == TreatmentKind.MOSAIC || WITHOUT_AMOUNT.contains(kind)) {
      return;
    }
    Double[] none =
        kind.parameters().stream()
            .map(p -> p.unit() == Parameter.Unit.DEGREES ? 0.0 : Math.max(0.0, p.least()))
            .toArray(Double[]::new);
    if (kind == TreatmentKind.SHARPEN || kind == TreatmentKind.GLOW) {
      none[1] = 10.0;
    }
    Frame from = scene();
    assertThat(drawn(kind, from, 2, none).data()).isEqualTo(from.data());
  }

  @ParameterizedTest
  @MethodSource("painted")
  void moreIsFartherFromThePicture(TreatmentKind kind) {
    if (WITHOUT_AMOUNT.contains(kind)) {
      return;
    }
    Frame from = scene();
    Double[] little = usual(kind);
    Double[] much = usual(kind);
    Parameter first = kind.parameters().get(0);
    little[0] = first.least() + (first.most() - first.least()) * 0.1;
    much[0] = first.least() + (first.most() - first.least()) * 0.7;
    double near = noiseOf(drawn(kind, from, 2, little), from);
    assertThat(noiseOf(drawn(kind, from, 2, much), from)).isGreaterThan(near);
  }

  @Test
  void aBlurKeepsTheMeanAndAnEvenPicture() {
    Frame from = scene();
    assertThat(mean(drawn(TreatmentKind.BLUR, from, 0, 40.0))).isCloseTo(mean(from), within(1.5));
    Frame even = flat(77);
    assertThat(drawn(TreatmentKind.BLUR, even, 0, 40.0).data()).isEqualTo(even.data());
    assertThat(drawn(TreatmentKind.STREAK, even, 0, 100.0, 30.0).data()).isEqualTo(even.data());
    assertThat(drawn(TreatmentKind.DENOISE, even, 0, 80.0).data()).isEqualTo(even.data());
  }

  @Test
  void aStreakSmearsAlongItsDirectionOnly() {
    Frame columns = flat(0);
    for (int i = 0; i < WIDTH * HEIGHT; i++) {
      columns.data()[i] = (byte) (i % WIDTH / 8 % 2 == 0 ? 60 : 180);
    }
    Frame down = drawn(TreatmentKind.STREAK, columns, 0, 200.0, 90.0);
    Frame across = drawn(TreatmentKind.STREAK, columns, 0, 200.0, 0.0);
    assertThat(noiseOf(down, columns)).isLessThan(1);
    assertThat(noiseOf(across, columns)).isGreaterThan(40);
  }

  @Test
  void levelledLightIsWhatItIsCalled() {
    Frame from = scene();
    assertThat(drawn(TreatmentKind.LEVEL, from, 0, 0.0, 0.0, 0.0).data()).isEqualTo(from.data());
    // 2.4 stops of a display's light double the signal, 1.2 multiply it by the root of two.
    Frame grey = flat(66);
    assertThat(mean(drawn(TreatmentKind.LEVEL, grey, 0, 120.0, 120.0, 120.0)))
        .isCloseTo(16 + 50 * Math.sqrt(2), within(0.5));
    Frame lit = drawn(TreatmentKind.LEVEL, grey, 0, 0.0, 0.0, 200.0);
    assertThat(mean(lit)).as("blue is little of luma").isBetween(67.0, 70.0);
    assertThat(lit.data()[lit.offset(1)] & 0xff).as("Cb").isGreaterThan(130);
    assertThat(lit.data()[lit.offset(2)] & 0xff).as("Cr").isLessThan(128);
  }

  @Test
  void noiseGoesAndEdgesStay() {
    Frame clean = scene();
    Frame noisy = scene();
    Random random = new Random(5);
    for (int i = 0; i < WIDTH * HEIGHT; i++) {
      int value = (clean.data()[i] & 0xff) + (int) Math.round(8 * random.nextGaussian());
      noisy.data()[i] = (byte) Math.max(16, Math.min(235, value));
    }
    Frame done = drawn(TreatmentKind.DENOISE, noisy, 0, 60.0);
    assertThat(noiseOf(done, clean)).isLessThan(0.6 * noiseOf(noisy, clean));
    int row = 40 * WIDTH;
    int edge = (done.data()[row + 114] & 0xff) - (done.data()[row + 107] & 0xff);
    int was = (clean.data()[row + 114] & 0xff) - (clean.data()[row + 107] & 0xff);
    assertThat(edge).as("the edge").isGreaterThan((int) (0.8 * was));
  }

  @Test
  void aFlashAtFullIsWhiteAndATurnedPictureTurnedAgainIsItself() {
    assertThat(drawn(TreatmentKind.FLASH, scene(), 0, 100.0).data()[500] & 0xff).isEqualTo(235);
    for (double way : List.of(0.0, 1.0)) {
      Frame once = drawn(TreatmentKind.MIRROR, scene(), 0, way);
      assertThat(drawn(TreatmentKind.MIRROR, once, 0, way).data()).isEqualTo(scene().data());
    }
    for (double way : List.of(2.0, 3.0)) {
      Frame once = drawn(TreatmentKind.MIRROR, scene(), 0, way);
      assertThat(drawn(TreatmentKind.MIRROR, once, 0, way - 2).data()).isEqualTo(once.data());
      assertThat(once.data()[0]).isEqualTo(scene().data()[0]);
    }
  }

  @Test
  void aPulseKeepsTheMiddleAndAShakeNeverBaresAnEdge() {
    Frame even = flat(120);
    for (double at = 0; at < 3; at += 0.13) {
      assertThat(drawn(TreatmentKind.SHAKE, even, at, 60.0, 40.0).data()).isEqualTo(even.data());
    }
    Frame from = scene();
    Frame grown = drawn(TreatmentKind.PULSE, from, 0, 20.0);
    int middle = HEIGHT / 2 * WIDTH + WIDTH / 2;
    assertThat(grown.data()[middle] & 0xff).isCloseTo(from.data()[middle] & 0xff, within(3));
    int corner = (HEIGHT / 12) * WIDTH + WIDTH / 12;
    assertThat(grown.data()[0] & 0xff).isCloseTo(from.data()[corner] & 0xff, within(9));
  }

  @Test
  void fewStepsAreFewAndAnInsetKeepsItsMiddle() {
    Frame steps = drawn(TreatmentKind.POSTERISE, scene(), 0, 4.0);
    long values = IntStream.range(0, WIDTH * HEIGHT).map(i -> steps.data()[i]).distinct().count();
    assertThat(values).isBetween(2L, 4L);
    Frame inset = drawn(TreatmentKind.INSET, flat(150), 0, 60.0, 20.0, 50.0);
    assertThat(inset.data()[HEIGHT / 2 * WIDTH + WIDTH / 2] & 0xff).isEqualTo(150);
    assertThat(inset.data()[HEIGHT / 2 * WIDTH + (int) (WIDTH * 0.198)] & 0xff)
        .as("its border")
        .isGreaterThan(200);
    assertThat(inset.data()[0] & 0xff).as("what is behind").isLessThan(110);
  }

  @Test
  void barsLeaveAPictureOfTheShapeAskedFor() {
    Frame barred = drawn(TreatmentKind.BARS, flat(150), 0, 239.0);
    long kept =
        IntStream.range(0, HEIGHT).filter(y -> (barred.data()[y * WIDTH] & 0xff) == 150).count();
    assertThat(WIDTH / (double) kept).isCloseTo(2.39, within(0.04));
    assertThat(barred.data()[0]).isEqualTo(barred.data()[WIDTH * HEIGHT - 1]).isEqualTo((byte) 16);
    Frame narrow = drawn(TreatmentKind.BARS, flat(150), 0, 133.0);
    assertThat(narrow.data()[HEIGHT / 2 * WIDTH] & 0xff).isEqualTo(16);
    assertThat(narrow.data()[WIDTH / 2] & 0xff).isEqualTo(150);
  }

  @Test
  void aTwoColouredPictureHasTheColoursAskedFor() {
    Frame dark = drawn(TreatmentKind.DUOTONE, flat(16), 0, 100.0, 240.0, 40.0);
    Frame light = drawn(TreatmentKind.DUOTONE, flat(235), 0, 100.0, 240.0, 40.0);
    assertThat(dark.data()[dark.offset(1)] & 0xff).as("blue in the dark").isGreaterThan(150);
    assertThat(light.data()[light.offset(1)] & 0xff).as("none in the light").isLessThan(118);
    assertThat(mean(light)).isGreaterThan(mean(dark) + 120);
  }

  private static Offset<Double> within(double value) {
    return Offset.offset(value);
  }

  private static Offset<Integer> within(int value) {
    return Offset.offset(value);
  }
}
