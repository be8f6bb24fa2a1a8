package app.latethistle.core.grade;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.interchange.CubeText;
import app.latethistle.core.look.Parameter;
import app.latethistle.core.look.TreatmentKind;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class ColourTreatmentTest {
  private static final double LEAST = 1e-6;
  private static final GivenTable NEGATIVE = CubeText.parse("LUT_1D_SIZE 2\n1 1 1\n0 0 0\n");

  private static Stream<TreatmentKind> kinds() {
    return Stream.of(TreatmentKind.values()).filter(TreatmentKind::ofColour);
  }

  private static ColourChange of(TreatmentKind kind, Double... values) {
    return ColourTreatment.of(kind, List.of(values), Optional.of(NEGATIVE));
  }

  private static Signal any(Random random) {
    return new Signal(random.nextDouble(), random.nextDouble(), random.nextDouble());
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void doesNothingAtNothingAndSomethingAsUsual(TreatmentKind kind) {
    Double[] usual = kind.parameters().stream().map(p -> (double) p.usual()).toArray(Double[]::new);
    Double[] none = usual.clone();
    for (int i = 0; i < none.length; i++) {
      Parameter.Unit unit = kind.parameters().get(i).unit();
      boolean weight = kind == TreatmentKind.MONOCHROME && i > 0;
      none[i] = unit == Parameter.Unit.DEGREES || weight ? usual[i] : 0.0;
    }
    Signal colour = new Signal(.6, .4, .3);
    Signal same = of(kind, none).apply(colour);
    assertThat(same.red()).isCloseTo(.6, within(1e-4));
    assertThat(same.green()).isCloseTo(.4, within(1e-4));
    assertThat(same.blue()).isCloseTo(.3, within(1e-4));
    assertThat(of(kind, usual).apply(colour).rgb()).isNotEqualTo(colour.rgb());
  }

  @Test
  void greyIsTheWeightedSumOfTheChannels() {
    ColourChange red = of(TreatmentKind.MONOCHROME, 100.0, 100.0, 0.0, 0.0);
    assertThat(red.apply(new Signal(.7, .2, .1))).isEqualTo(new Signal(.7, .7, .7));
    // BT.709's luma, to the whole percents of its weights.
    ColourChange luma = of(TreatmentKind.MONOCHROME, 100.0, 21.0, 72.0, 7.0);
    Random random = new Random(3);
    for (int i = 0; i < 200; i++) {
      Signal colour = any(random);
      assertThat(luma.apply(colour).green()).isCloseTo(colour.luma(), within(0.01));
    }
  }

  @Test
  void aSplitToneKeepsLightnessAndLeavesBlackAndWhite() {
    ColourChange split = of(TreatmentKind.SPLIT_TONE, 240.0, 100.0, 40.0, 100.0);
    for (double v : List.of(0.0, 1.0)) {
      Signal end = split.apply(new Signal(v, v, v));
      assertThat(end.red() - end.blue()).isCloseTo(0, within(1e-3));
    }
    Signal dark = split.apply(new Signal(.2, .2, .2));
    Signal light = split.apply(new Signal(.85, .85, .85));
    assertThat(dark.blue()).as("blue in the dark").isGreaterThan(dark.red() + .03);
    assertThat(light.red()).as("warm in the light").isGreaterThan(light.blue() + .03);
    Random random = new Random(4);
    for (int i = 0; i < 200; i++) {
      Signal colour = any(random);
      assertThat(Oklab.of(split.apply(colour)).lightness())
          .isCloseTo(Oklab.of(colour).lightness(), within(1e-3));
    }
  }

  @Test
  void fadedBlacksAreLiftedAndWhiteStays() {
    ColourChange faded = of(TreatmentKind.FADED, 50.0);
    assertThat(faded.apply(new Signal(0, 0, 0)).red()).isCloseTo(.1, within(LEAST));
    assertThat(faded.apply(new Signal(1, 1, 1)).red()).isCloseTo(1, within(LEAST));
  }

  @Test
  void oneAfterAnotherIsBoth() {
    ColourChange wash = of(TreatmentKind.WASH, 40.0, 0.0);
    ColourChange paler = of(TreatmentKind.SATURATION, -50.0);
    Signal colour = new Signal(.5, .3, .6);
    assertThat(wash.then(paler).apply(colour)).isEqualTo(paler.apply(wash.apply(colour)));
  }
}
