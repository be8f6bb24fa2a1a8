package app.latethistle.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.look.TreatmentKind;
import app.latethistle.core.picture.TreatmentPainter.Setting;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What lies over a whole film: fall-off of light, grain, light that spreads. */
class FinishPaintersTest {
  private static Frame flat(int width, int height, int luma) {
    Frame frame = new Frame(width, height);
    frame.black();
    Arrays.fill(frame.data(), 0, width * height, (byte) luma);
    return frame;
  }

  private static Frame drawn(TreatmentKind kind, Frame from, double seconds, Double... values) {
    Frame into = new Frame(from.width(), from.height());
    TreatmentPainter.of(kind, from.width(), from.height())
        .draw(from, into, new Setting(List.of(values), seconds, 7));
    return into;
  }

  private static int luma(Frame frame, int x, int y) {
    return frame.data()[y * frame.width() + x] & 0xff;
  }

  /** Of the luma samples of some rows and columns. */
  private static double mean(Frame frame, int x, int y, int side) {
    double sum = 0;
    for (int r = y; r < y + side; r++) {
      for (int c = x; c < x + side; c++) {
        sum += luma(frame, c, r);
      }
    }
    return sum / (side * side);
  }

  @Test
  void lightFallsOffAlongAnEllipseOfThePicturesShape() {
    Frame drawn = drawn(TreatmentKind.VIGNETTE, flat(320, 180, 180), 0, 60.0, 40.0, 80.0);
    assertThat(luma(drawn, 160, 90)).isEqualTo(180);
    // The middles of two sides are as far into it as each other.
    assertThat(mean(drawn, 0, 86, 8)).isCloseTo(mean(drawn, 156, 0, 8), within(4.0));
    double last = 181;
    for (int step = 10; step <= 21; step++) {
      double now = mean(drawn, 160 + (step - 10) * 13, 90 + (step - 10) * 7, 8);
      assertThat(now).isLessThanOrEqualTo(last);
      last = now;
    }
    assertThat(last).isLessThan(120);
  }

  @Test
  void aFallOffOverASkyShowsNoRings() {
    Frame drawn = drawn(TreatmentKind.VIGNETTE, flat(640, 360, 60), 0, 20.0, 10.0, 130.0);
    for (int x = 0; x + 8 <= 640; x += 8) {
      double away = Math.hypot((2.0 * (x + 4)) / 640 - 1, 2.0 * 180 / 360 - 1);
      double exact = 16 + 44 * (1 - 0.2 * Weighing.smooth(0.1, 1.4, away));
      assertThat(mean(drawn, x, 176, 8)).as("at %d", x).isCloseTo(exact, within(0.12));
    }
  }

  @Test
  void grainHasTheStrengthAskedForAndKeepsTheMean() {
    Frame drawn = drawn(TreatmentKind.GRAIN, flat(1920, 1080, 126), 0, 40.0, 16.0, 0.0, 0.0);
    double sum = 0;
    double squares = 0;
    for (int i = 0; i < 1920 * 1080; i++) {
      double off = (drawn.data()[i] & 0xff) - 126;
      sum += off;
      squares += off * off;
    }
    assertThat(sum / (1920 * 1080)).isCloseTo(0, within(0.3));
    assertThat(Math.sqrt(squares / (1920 * 1080))).isCloseTo(8, within(0.4));
    Frame black = flat(1920, 1080, 16);
    assertThat(drawn(TreatmentKind.GRAIN, black, 0, 40.0, 16.0, 0.0, 0.0).data())
        .isEqualTo(black.data());
  }

  @Test
  void grainLooksTheSameAtEverySizeAndIsAnotherInEachFrame() {
    Frame large = drawn(TreatmentKind.GRAIN, flat(1920, 1080, 126), 1, 60.0, 40.0, 60.0, 40.0);
    Frame small = drawn(TreatmentKind.GRAIN, flat(960, 540, 126), 1, 60.0, 40.0, 60.0, 40.0);
    Frame later = drawn(TreatmentKind.GRAIN, flat(960, 540, 126), 1.04, 60.0, 40.0, 60.0, 40.0);
    assertThat(likeness(large, small)).isGreaterThan(0.85);
    assertThat(Math.abs(likeness(large, later))).isLessThan(0.1);
  }

  /** How the larger picture, made smaller by means of four, and the smaller go together. */
  private static double likeness(Frame large, Frame small) {
    double both = 0;
    double one = 0;
    double other = 0;
    for (int y = 0; y < small.height(); y++) {
      for (int x = 0; x < small.width(); x++) {
        double a = mean(large, 2 * x, 2 * y, 2) - 126;
        double b = luma(small, x, y) - 126.0;
        both += a * b;
        one += a * a;
        other += b * b;
      }
    }
    return both / Math.sqrt(one * other);
  }

  private static Frame lamp() {
    Frame frame = flat(320, 180, 40);
    for (int y = 80; y < 100; y++) {
      Arrays.fill(frame.data(), y * 320 + 150, y * 320 + 170, (byte) 235);
    }
    return frame;
  }

  @Test
  void aLampHasARedRingAndNothingClips() {
    Frame lamp = lamp();
    Frame drawn = drawn(TreatmentKind.HALATION, lamp, 0, 100.0, 40.0, 60.0);
    int beside = 45 * 160 + 72; // chroma, 6 luma samples left of the lamp
    assertThat(drawn.data()[drawn.offset(2) + beside] & 0xff).as("redder").isGreaterThan(135);
    assertThat(drawn.data()[drawn.offset(1) + beside] & 0xff).as("less blue").isLessThan(124);
    assertThat(luma(drawn, 144, 90)).isGreaterThan(50);
    assertThat(luma(drawn, 10, 10)).isEqualTo(40);
    for (int i = 0; i < 320 * 180; i++) {
      assertThat(drawn.data()[i] & 0xff).isLessThanOrEqualTo(235);
    }
  }

  @Test
  void aSoftFilterSpreadsLightAndLeavesWhatIsEven() {
    Frame drawn = drawn(TreatmentKind.DIFFUSION, lamp(), 0, 80.0, 30.0);
    assertThat(luma(drawn, 146, 90)).isGreaterThan(60);
    Frame even = flat(320, 180, 90);
    assertThat(drawn(TreatmentKind.DIFFUSION, even, 0, 80.0, 30.0).data()).isEqualTo(even.data());
  }
}
