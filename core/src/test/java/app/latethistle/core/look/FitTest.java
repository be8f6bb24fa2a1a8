package app.latethistle.core.look;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.take.PictureShape;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FitTest {
  private static final PictureShape WIDE = PictureShape.of(1920, 1080);

  @ParameterizedTest
  @CsvSource({
    "1280, 720, FILL, 0.0",
    "1920, 1080, FILL, 0.0",
    "1080, 1080, FIT, 0.4375",
    "1080, 1920, FIT, 0.684",
    "1024, 576, FILL, 0.0",
    "1920, 1200, FILL, 0.1",
    "1440, 1080, FIT, 0.25",
    "2048, 1080, FILL, 0.0625",
  })
  void fillsWhenLittleIsLost(int width, int height, Fit framing, double loss) {
    PictureShape clip = PictureShape.of(width, height);
    assertThat(Fit.byDefault(clip, WIDE)).isEqualTo(framing);
    assertThat(Fit.lossWhenFilled(clip, WIDE)).isCloseTo(loss, within(0.0005));
  }

  @Test
  void countsThePixelsShape() {
    // 1440 x 1080 with pixels 4:3 wide is seen as 16:9 (ITU-R BT.1358 class material).
    PictureShape wide = new PictureShape(1440, 1080, 4 / 3.0);
    assertThat(Fit.lossWhenFilled(wide, WIDE)).isCloseTo(0, within(1e-9));
    assertThat(wide.turned().aspect()).isCloseTo(1080 / 1920.0, within(1e-9));
  }
}
