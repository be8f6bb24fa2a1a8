package app.latethistle.core.grade;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.look.Basics;
import app.latethistle.core.look.Cdl;
import app.latethistle.core.look.ColourRange;
import app.latethistle.core.look.Correction;
import app.latethistle.core.look.Curve;
import app.latethistle.core.look.Curves;
import app.latethistle.core.look.Mask;
import app.latethistle.core.look.PicturePart;
import app.latethistle.core.look.Tones;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class GradingTest {
  private static final Signal GREY = new Signal(0.5, 0.5, 0.5);

  private static Signal graded(Correction correction, Signal colour) {
    return Grading.of(correction).apply(colour);
  }

  private static Signal graded(Tones tones, Signal colour) {
    return graded(Correction.NONE.withTones(tones), colour);
  }

  private static void assertClose(Signal actual, double red, double green, double blue) {
    assertThat(actual.red()).isCloseTo(red, within(1e-6));
    assertThat(actual.green()).isCloseTo(green, within(1e-6));
    assertThat(actual.blue()).isCloseTo(blue, within(1e-6));
  }

  @Test
  void withoutANumberAllStaysAsItCame() {
    Random random = new Random(1);
    for (int i = 0; i < 100; i++) {
      Signal v = new Signal(random.nextDouble(), random.nextDouble(), random.nextDouble());
      assertClose(graded(Correction.NONE, v), v.red(), v.green(), v.blue());
    }
  }

  /** ITU-R BT.709-6, item 1.2: the signal of some lights, by its own constants. */
  @ParameterizedTest
  @CsvSource({"0, 0", "0.01, 0.045", "0.18, 0.40884", "0.5, 0.70552", "1, 1"})
  void codesLightAsBt709Does(double light, double signal) {
    assertThat(Transfer.toSignal(light)).isCloseTo(signal, within(2e-4));
    assertThat(Transfer.toLight(Transfer.toSignal(light))).isCloseTo(light, within(2e-6));
  }

  /**
   * ITU-R BT.2020's constants, and its powers worked out; between the table's places and past it.
   */
  @Test
  void isAsNearToTheFormulaAsItSays() {
    double alpha = 1.09929682680944;
    for (double light = 0; light < 3; light += 0.000_37) {
      double signal =
          light < 0.018053968510807 ? 4.5 * light : alpha * Math.pow(light, 0.45) - (alpha - 1);
      assertThat(Transfer.toSignal(light)).isCloseTo(signal, within(2e-6));
      assertThat(Transfer.toSignal(-light)).isCloseTo(-signal, within(2e-6));
      assertThat(Transfer.toLight(signal)).isCloseTo(light, within(2e-6));
    }
  }

  /** IEC 61966-2-1: half the signal is .2140411 of the light. */
  @Test
  void showsASignalAsAScreenDoes() {
    assertThat(Transfer.shown(0.5)).isCloseTo(0.2140411, within(1e-7));
    assertThat(Transfer.toShow(Transfer.shown(0.3))).isCloseTo(0.3, within(1e-9));
  }

  /** A stop is twice the light. */
  @Test
  void exposureAddsUpLight() {
    Signal v = graded(Correction.of(new Basics(100, 0, 0, 0, 0)), new Signal(0.2, 0.3, 0.4));

    assertThat(Transfer.toLight(v.red())).isCloseTo(2 * Transfer.toLight(0.2), within(2e-6));
    assertThat(Transfer.toLight(v.blue())).isCloseTo(2 * Transfer.toLight(0.4), within(2e-6));
  }

  /**
   * Lindbloom's published matrix of Bradford's adaptation from D65 to D50 (Chromatic Adaptation,
   * brucelindbloom.com), which gives seven decimals and uses the whites of ASTM E308.
   */
  @Test
  void adaptsAsBradfordPublished() {
    Matrix m =
        Matrix.adapting(new double[] {0.95047, 1, 1.08883}, new double[] {0.96422, 1, 0.82521});

    double[] first = {1.0478112, 0.0228866, -0.0501270};
    double[] last = {-0.0092345, 0.0150436, 0.7521316};
    for (int i = 0; i < 3; i++) {
      double[] unit = new double[3];
      unit[i] = 1;
      assertThat(m.row(0, unit)).isCloseTo(first[i], within(1e-6));
      assertThat(m.row(2, unit)).isCloseTo(last[i], within(1e-6));
    }
  }

  @Test
  void warmthGoesTowardsCandleLightAndTintTowardsMagenta() {
    Signal warm = graded(Correction.of(new Basics(0, 0, 40, 0, 0)), GREY);
    Signal cool = graded(Correction.of(new Basics(0, 0, -40, 0, 0)), GREY);
    Signal magenta = graded(Correction.of(new Basics(0, 0, 0, 40, 0)), GREY);

    assertThat(warm.red()).isGreaterThan(warm.green()).isGreaterThan(0.5);
    assertThat(warm.blue()).isLessThan(warm.green());
    assertThat(cool.blue()).isGreaterThan(cool.green());
    assertThat(cool.red()).isLessThan(cool.green());
    assertThat(magenta.green()).isLessThan(magenta.red()).isLessThan(magenta.blue());
    // The light's amount stays: only its colour is another.
    assertThat(Lab.of(magenta).lightness()).isCloseTo(Lab.of(GREY).lightness(), within(1.0));
  }

  @Test
  void contrastLeavesThePivotAndDoublesWhatIsAwayFromIt() {
    Correction more = Correction.of(new Basics(0, 100, 0, 0, 0));

    Signal pivot = graded(more, new Signal(0.41, 0.41, 0.41));
    assertClose(pivot, 0.41, 0.41, 0.41);
    Signal above = graded(more, GREY);
    assertClose(above, 0.59, 0.59, 0.59);
  }

  @Test
  void withoutSaturationAColourIsAGreyOfItsLightness() {
    Signal red = new Signal(0.7, 0.2, 0.2);

    Signal grey = graded(Correction.of(new Basics(0, 0, 0, 0, -100)), red);

    assertThat(grey.red()).isCloseTo(grey.green(), within(1e-4));
    assertThat(grey.green()).isCloseTo(grey.blue(), within(1e-4));
    assertThat(Lab.of(grey).lightness()).isCloseTo(Lab.of(red).lightness(), within(6.0));
  }

  @Test
  void vibranceMovesWhatIsWeakFurtherThanWhatIsStrong() {
    Tones tones = new Tones(Tones.GREY, 0, 0, 0, 0, 80, Curves.NONE);
    Signal weak = new Signal(0.5, 0.47, 0.45);
    Signal strong = new Signal(0.9, 0.1, 0.05);

    assertThat(Lab.of(graded(tones, weak)).chroma() / Lab.of(weak).chroma()).isGreaterThan(1.5);
    assertThat(Lab.of(graded(tones, strong)).chroma() / Lab.of(strong).chroma())
        .isCloseTo(1, within(0.1));
  }

  @Test
  void blacksAndWhitesMoveTheEnds() {
    Tones tones = new Tones(Tones.GREY, 50, -100, 0, 0, 0, Curves.NONE);

    assertClose(graded(tones, new Signal(0, 0, 0)), 0.05, 0.05, 0.05);
    assertClose(graded(tones, new Signal(1, 1, 1)), 0.9, 0.9, 0.9);
  }

  @Test
  void theShoulderBringsWhatIsOverWhiteUnderIt() {
    Tones tones = new Tones(Tones.GREY, 0, 0, 60, 0, 0, Curves.NONE);

    double before = 0;
    for (double v = 0; v < 1.5; v += 0.05) {
      double bent = graded(tones, new Signal(v, v, v)).red();
      assertThat(bent).isLessThan(1).isGreaterThanOrEqualTo(before);
      before = bent;
    }
    assertClose(graded(tones, GREY), 0.5, 0.5, 0.5);
  }

  @Test
  void theToeKeepsWhatIsUnderBlackOverIt() {
    Tones tones = new Tones(Tones.GREY, 0, 0, 0, 60, 0, Curves.NONE);

    assertThat(graded(tones, new Signal(-0.3, -0.1, 0)).red()).isGreaterThan(0);
  }

  @Test
  void aCurveGoesThroughItsPointsAndNeverBeyondThem() {
    Curve curve =
        new Curve(
            List.of(
                new Curve.Point(0, 0),
                new Curve.Point(300, 200),
                new Curve.Point(320, 600),
                new Curve.Point(1000, 1000)));
    Tones tones =
        Tones.NONE.withCurves(new Curves(Curve.STRAIGHT, curve, Curve.STRAIGHT, Curve.STRAIGHT));

    assertClose(graded(tones, new Signal(0.3, 0.3, 0.3)), 0.2, 0.3, 0.3);
    assertClose(graded(tones, new Signal(0.32, 0.3, 0.3)), 0.6, 0.3, 0.3);
    double before = 0;
    for (double v = 0; v <= 1; v += 0.01) {
      double red = graded(tones, new Signal(v, 0, 0)).red();
      assertThat(red).isGreaterThanOrEqualTo(before);
      before = red;
    }
  }

  @Test
  void theCurveOfBrightnessTakesTheColourAlong() {
    Curve lifted = new Curve(List.of(new Curve.Point(0, 100), new Curve.Point(1000, 1000)));
    Tones tones =
        Tones.NONE.withCurves(new Curves(lifted, Curve.STRAIGHT, Curve.STRAIGHT, Curve.STRAIGHT));

    Signal v = graded(tones, new Signal(0.4, 0.3, 0.2));

    assertThat(v.red() - v.green()).isCloseTo(0.1, within(1e-9));
    assertThat(v.luma()).isGreaterThan(0.3);
  }

  /** ASC CDL v1.2, section on the functions: worked by hand from its formulas. */
  @Test
  void aListWorksAsTheAscSays() {
    Cdl list =
        new Cdl(
            new Cdl.Triple(1.2, 1, 0.8),
            new Cdl.Triple(-0.1, 0, 0.1),
            new Cdl.Triple(1, 2, 0.5),
            /* saturation= */ 1);

    assertClose(graded(Correction.NONE.withCdl(list), GREY), 0.5, 0.25, Math.sqrt(0.5));
  }

  @Test
  void aListHoldsValuesBetweenBlackAndWhite() {
    Cdl bright = new Cdl(Cdl.Triple.all(3), Cdl.Triple.all(0), Cdl.Triple.all(1), 0);

    assertClose(graded(Correction.NONE.withCdl(bright), GREY), 1, 1, 1);
  }

  private static final Signal SKY = new Signal(0.3, 0.5, 0.8);
  private static final Signal LAMP = new Signal(0.9, 0.6, 0.2);

  @Test
  void aRangeIsCorrectedByItself() {
    ColourRange around = RangePick.around(SKY).withBasics(new Basics(0, 0, 0, 0, -100));
    Correction correction = Correction.NONE.withRanges(List.of(around));

    Signal sky = graded(correction, SKY);

    assertThat(sky.red()).as("without colour").isCloseTo(sky.blue(), within(0.01));
    assertThat(graded(correction, LAMP).rgb()).isEqualTo(LAMP.rgb());
    assertThat(graded(correction, GREY).rgb()).isEqualTo(GREY.rgb());
  }

  @Test
  void whatIsMeantInAPartOfThePictureIsNotOfAColourAlone() {
    ColourRange around = RangePick.around(SKY).withBasics(new Basics(100, 0, 0, 0, 0));
    ColourRange placed = around.in(PicturePart.in(Mask.usual(Mask.Kind.ELLIPSE)));

    assertThat(graded(Correction.NONE.withRanges(List.of(placed)), SKY).rgb()).isEqualTo(SKY.rgb());
    Signal there = Grading.of(placed).apply(SKY);
    assertThat(there).isEqualTo(graded(Correction.NONE.withRanges(List.of(around)), SKY));
    assertThat(there.blue()).isGreaterThan(SKY.blue());
  }

  @Test
  void aRangeBeginsSoftly() {
    ColourRange dark =
        new ColourRange(
            0,
            180,
            0,
            ColourRange.MOST_CHROMA,
            0,
            40,
            80,
            PicturePart.WHOLE,
            new Basics(100, 0, 0, 0, 0));
    Correction correction = Correction.NONE.withRanges(List.of(dark));
    double last = -1;
    for (double v = 0; v <= 1; v += 0.01) {
      double now = graded(correction, new Signal(v, v, v)).green();
      assertThat(now).as("at %s", v).isGreaterThanOrEqualTo(v - 1e-9);
      assertThat(Math.abs(now - last)).isLessThan(last < 0 ? 2 : 0.06);
      last = now;
    }
    assertThat(graded(correction, new Signal(.9, .9, .9)).red()).isCloseTo(.9, within(1e-9));
  }
}
