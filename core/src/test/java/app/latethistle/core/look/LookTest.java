package app.latethistle.core.look;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.Refused;
import app.latethistle.core.take.PictureShape;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LookTest {
  private static final PictureShape WIDE = PictureShape.of(1920, 1080);

  @Test
  void aShapeIsInLowestTermsAndWiderOnesComeLast() {
    assertThat(Shape.of(1920, 1080)).isEqualTo(new Shape(16, 9)).hasToString("16:9");
    assertThat(Shape.of(1080, 1920)).hasToString("9:16");
    List<Shape> shapes =
        List.of(new Shape(9, 16), new Shape(1, 1), new Shape(4, 3), new Shape(16, 9));
    assertThat(shapes).isSorted();
    assertThat(new Shape(2, 1).compareTo(Shape.of(4, 2))).isZero();
    assertThatThrownBy(() -> new Shape(0, 9)).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> new Shape(16, -9)).hasMessageContaining("16 to -9");
  }

  @Test
  void aFramingHoldsInEveryShapeThatHasNoneOfItsOwn() {
    Shape tall = new Shape(9, 16);
    ShapedFraming framing = ShapedFraming.of(Framing.FILL).with(tall, Framing.SOFT);
    assertThat(framing.in(tall, WIDE)).isEqualTo(Framing.SOFT);
    assertThat(framing.in(new Shape(1, 1), WIDE)).isEqualTo(Framing.FILL);
    ShapedFraming other = framing.withOwn(Framing.FIT);
    assertThat(other.in(new Shape(1, 1), WIDE)).isEqualTo(Framing.FIT);
    assertThat(other.in(tall, WIDE)).isEqualTo(Framing.SOFT);
    // What it was made of may change afterwards.
    TreeMap<Shape, Framing> map = new TreeMap<>();
    ShapedFraming made = new ShapedFraming(Framing.FILL, map, Optional.empty());
    map.put(tall, Framing.FIT);
    assertThat(made.in(tall, WIDE)).isEqualTo(Framing.FILL);
  }

  /** The window on the take in which a shape shows it half-way. */
  private static Window seen(Shape shape, ShapedFraming framing) {
    return framing
        .in(shape, WIDE)
        .path()
        .orElseThrow()
        .at(0.5, WIDE, (double) shape.across() / shape.down());
  }

  @ParameterizedTest
  @CsvSource({"9, 16", "1, 1", "4, 5", "21, 9", "16, 9"})
  void everyShapeIsCroppedAboutTheFocusWithTheLeastLoss(int across, int down) {
    Shape shape = new Shape(across, down);
    for (int x = 0; x <= 1000; x += 125) {
      for (int y = 0; y <= 1000; y += 250) {
        Window window =
            seen(
                shape,
                ShapedFraming.of(Framing.FILL)
                    .withFocus(
                        Optional.of(new Focus(List.of(new Focus.Point(0, x, y)), 0, 0, 0, 1))));
        // As large as the take holds, and as near to the focus as that lets it.
        assertThat(Math.min(1920 - window.width(), 1080 - window.height()))
            .isCloseTo(0, within(1.0));
        assertThat(Math.abs(window.x() - 1.92 * x))
            .isCloseTo(
                Math.max(
                    0,
                    Math.max(window.width() / 2 - 1.92 * x, 1.92 * x - 1920 + window.width() / 2)),
                within(0.5));
        assertThat(Math.abs(window.x() - 1.92 * x)).isLessThanOrEqualTo(window.width() / 2 + 0.5);
        assertThat(Math.abs(window.y() - 1.08 * y)).isLessThanOrEqualTo(window.height() / 2 + 0.5);
      }
    }
  }

  @Test
  void whatAShapeCannotHoldIsSeenWhole() {
    Focus wide = new Focus(List.of(new Focus.Point(0, 500, 500)), 500, 100, 0, 1);
    ShapedFraming framing = ShapedFraming.of(Framing.FILL).withFocus(Optional.of(wide));
    assertThat(framing.in(new Shape(9, 16), WIDE)).isEqualTo(Framing.SOFT);
    assertThat(framing.in(new Shape(1, 1), WIDE).fit()).isEqualTo(Fit.FILL);
    // What is said for a shape stands, and bars stay bars.
    assertThat(framing.with(new Shape(9, 16), Framing.FIT).in(new Shape(9, 16), WIDE))
        .isEqualTo(Framing.FIT);
    assertThat(framing.withOwn(Framing.FIT).in(new Shape(9, 16), WIDE)).isEqualTo(Framing.FIT);
  }

  @Test
  void aFocusThatMovesIsFollowedAndASplitShotKeepsItsPart() {
    Focus moving =
        new Focus(
            List.of(new Focus.Point(0, 300, 500), new Focus.Point(1000, 700, 500)), 0, 0, 0, 1);
    ShapedFraming framing = ShapedFraming.of(Framing.FILL).withFocus(Optional.of(moving));
    Shape tall = new Shape(9, 16);
    assertThat(seen(tall, framing).x()).isCloseTo(960, within(1.0));
    assertThat(seen(tall, framing.part(0, 0.5)).x()).isCloseTo(0.4 * 1920, within(1.0));
    assertThat(seen(tall, framing.part(0.5, 1)).x()).isCloseTo(0.6 * 1920, within(1.0));
    // A move of the camera keeps its sizes about the focus.
    FramingPath push = FramingPath.of(View.WHOLE, View.enlarged(1500), Easing.EVEN);
    ShapedFraming both = framing.withOwn(Framing.along(push));
    FramingPath there = both.in(tall, WIDE).path().orElseThrow();
    Window last = there.at(1, WIDE, 9 / 16.0);
    assertThat(last.height()).isCloseTo(720, within(0.5));
    assertThat(last.x()).isCloseTo(0.7 * 1920, within(1.0));
  }

  @Test
  void theEndFadesAlongARaisedCosine() {
    EndFade fade = new EndFade(24);
    assertThat(fade.gain(0, 100)).isEqualTo(1);
    assertThat(fade.gain(76, 100)).isEqualTo(1);
    assertThat(fade.gain(82, 100)).isCloseTo(0.5 + Math.sqrt(0.5) / 2, within(1e-9));
    assertThat(fade.gain(88, 100)).isCloseTo(0.5, within(1e-9));
    assertThat(fade.gain(100, 100)).isCloseTo(0, within(1e-9));
    assertThat(fade.gain(120, 100)).isCloseTo(0, within(1e-9));
    assertThat(EndFade.NONE.gain(99, 100)).isEqualTo(1);
    assertThat(EndFade.NONE.gain(200, 100)).isEqualTo(1);
    assertThatThrownBy(() -> new EndFade(-1)).hasMessageContaining("-1 frames");
  }

  @ParameterizedTest
  @CsvSource({
    "-1, 1000, 500, 500, 0, opacity",
    "101, 1000, 500, 500, 0, opacity",
    "100, 9, 500, 500, 0, size",
    "100, 8001, 500, 500, 0, size",
    "100, 1000, -2001, 500, 0, place across",
    "100, 1000, 3001, 500, 0, place across",
    "100, 1000, 500, -2001, 0, place down",
    "100, 1000, 500, 3001, 0, place down",
    "100, 1000, 500, 500, 72001, turn"
  })
  void whereALayerLiesIsWithinItsRanges(
      int opacity, int size, int x, int y, int turn, String named) {
    assertThatThrownBy(() -> new Lie(opacity, size, x, y, turn))
        .isInstanceOf(Refused.class)
        .hasMessageContaining(named);
    assertThat(new Lie(0, 10, -2000, 3000, -72_000).opacity()).isZero();
  }

  @Test
  void aLayerGoesFromWhereItLiesFirstToWhereItLiesLast() {
    Lie first = new Lie(0, 500, -250, 500, 0);
    Lie last = new Lie(100, 1000, 750, 500, 9000);
    LiePath path = LiePath.of(first, last, Easing.EVEN);
    assertThat(path.isStill()).isFalse();
    assertThat(path.at(-3)).isEqualTo(path.at(0));
    assertThat(path.at(0.5).x()).isEqualTo(0.25);
    assertThat(path.at(0.5).opacity()).isEqualTo(0.5);
    assertThat(path.at(0.5).size()).isEqualTo(0.75);
    assertThat(path.at(1).turn()).isEqualTo(Math.PI / 2);
    assertThat(LiePath.of(first, last, Easing.SLOW_START).at(0.5).x()).isEqualTo(0);
    // It may arrive early, and rests then.
    LiePath early =
        new LiePath(
            List.of(new LiePath.Point(0, first), new LiePath.Point(250, last)), Easing.EVEN);
    assertThat(early.at(0.125).x()).isEqualTo(0.25);
    assertThat(early.at(0.6)).isEqualTo(early.at(1));
    assertThat(LiePath.still(last).at(0.3).x()).isEqualTo(0.75);
    assertThatThrownBy(() -> new LiePath(List.of(new LiePath.Point(5, last)), Easing.EVEN))
        .hasMessageContaining("each later");
  }

  @Test
  void aMaskHasAsManyPointsAsItNeeds() {
    List<Mask.Spot> one = List.of(new Mask.Spot(1, 1));
    assertThatThrownBy(() -> new Mask(Mask.Kind.ELLIPSE, one, 0, false))
        .hasMessageContaining("two corners");
    assertThatThrownBy(() -> new Mask(Mask.Kind.OUTLINE, one, 0, false))
        .hasMessageContaining("3 to 100");
    assertThatThrownBy(() -> new Mask.Spot(0, 2001)).hasMessageContaining("within");
    Mask usual = Mask.usual(Mask.Kind.OUTLINE);
    assertThatThrownBy(() -> new Mask(usual.kind(), usual.points(), 501, false))
        .hasMessageContaining("softness");
    assertThatThrownBy(() -> new Matte(List.of(), List.of(usual, usual, usual, usual, usual), 0))
        .hasMessageContaining("four masks");
  }
}
