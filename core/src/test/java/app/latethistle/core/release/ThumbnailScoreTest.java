package app.latethistle.core.release;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import app.latethistle.core.picture.Frame;
import app.latethistle.core.picture.Rgb;
import org.junit.jupiter.api.Test;

/** Pictures whose contrast is known, sharp and soft. */
class ThumbnailScoreTest {
  /** Squares of black and white, whose borders are as wide as said. */
  private static Frame squares(int border) {
    int[] rgb = new int[640 * 360];
    for (int i = 0; i < rgb.length; i++) {
      double x = white(i % 640, border);
      double y = white(i / 640, border);
      int grey = (int) Math.round(255 * (x * (1 - y) + y * (1 - x)));
      rgb[i] = (grey << 16) | (grey << 8) | grey;
    }
    Frame frame = new Frame(640, 360);
    Rgb.toFrame(rgb, frame);
    return frame;
  }

  private static double white(int at, int border) {
    return Math.min(1, Math.max(0, 0.5 + (10 - Math.abs(at % 40 - 20.0)) / border));
  }

  @Test
  void blackAndWhiteAreAsFarApartAsCanBe() {
    assertThat(ThumbnailScore.of(squares(1)).contrast()).isCloseTo(21, offset(0.1));
  }

  @Test
  void aSharpPictureIsBetterThanASoftOne() {
    ThumbnailScore sharp = ThumbnailScore.of(squares(1));
    ThumbnailScore soft = ThumbnailScore.of(squares(14));
    assertThat(sharp.sharpness()).isGreaterThan(soft.sharpness());
    assertThat(sharp.value()).isGreaterThan(soft.value());
    assertThat(sharp.faces()).isZero();
  }

  @Test
  void aGreyWallIsWorthNothing() {
    assertThat(ThumbnailScore.of(new Frame(640, 360)).value()).isZero();
  }

  @Test
  void somebodyIsLookedAtMore() {
    assertThat(new ThumbnailScore(60, 8, 1).value())
        .isGreaterThan(new ThumbnailScore(60, 8, 0).value())
        .isEqualTo(new ThumbnailScore(60, 8, 4).value());
  }
}
