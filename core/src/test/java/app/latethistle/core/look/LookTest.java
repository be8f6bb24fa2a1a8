package app.latethistle.core.look;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.Refused;
import java.util.List;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LookTest {
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
    assertThat(framing.in(tall)).isEqualTo(Framing.SOFT);
    assertThat(framing.in(new Shape(1, 1))).isEqualTo(Framing.FILL);
    ShapedFraming other = framing.withOwn(Framing.FIT);
    assertThat(other.in(new Shape(1, 1))).isEqualTo(Framing.FIT);
    assertThat(other.in(tall)).isEqualTo(Framing.SOFT);
    // What it was made of may change afterwards.
    TreeMap<Shape, Framing> map = new TreeMap<>();
    ShapedFraming made = new ShapedFraming(Framing.FILL, map);
    map.put(tall, Framing.FIT);
    assertThat(made.in(tall)).isEqualTo(Framing.FILL);
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
    "0, 100, 50, 50, opacity",
    "101, 100, 50, 50, opacity",
    "100, 9, 50, 50, size",
    "100, 101, 50, 50, size",
    "100, 100, -1, 50, place across",
    "100, 100, 101, 50, place across",
    "100, 100, 50, -1, place down",
    "100, 100, 50, 101, place down"
  })
  void whereALayerLiesIsWithinItsRanges(int opacity, int size, int x, int y, String named) {
    assertThatThrownBy(() -> new Lie(opacity, size, x, y))
        .isInstanceOf(Refused.class)
        .hasMessageContaining(named);
    assertThat(new Lie(1, 10, 0, 100).opacity()).isEqualTo(1);
  }
}
