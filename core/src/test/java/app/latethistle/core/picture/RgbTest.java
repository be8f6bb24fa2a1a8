package app.latethistle.core.picture;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RgbTest {
  private static int[] codes(int rgb) {
    int[] pixels = new int[16];
    Arrays.fill(pixels, rgb);
    Frame frame = new Frame(4, 4);
    Rgb.toFrame(pixels, frame);
    byte[] data = frame.data();
    return new int[] {
      data[0] & 255, data[frame.offset(1)] & 255, data[frame.offset(2)] & 255,
    };
  }

  /** ITU-R BT.709-6, table 3 and section 4.6: 8-bit codes of the primaries, black and white. */
  @ParameterizedTest
  @CsvSource({
    "000000, 16, 128, 128",
    "FFFFFF, 235, 128, 128",
    "FF0000, 63, 102, 240",
    "00FF00, 173, 42, 26",
    "0000FF, 32, 240, 118",
    "808080, 126, 128, 128",
  })
  void givesTheCodesOfBt709(String rgb, int y, int cb, int cr) {
    assertThat(codes(Integer.parseInt(rgb, 16))).containsExactly(y, cb, cr);
  }

  @Test
  void comesBackWithinACodeOrTwo() {
    for (int r = 0; r < 256; r += 15) {
      for (int g = 0; g < 256; g += 15) {
        for (int b = 0; b < 256; b += 15) {
          int rgb = r << 16 | g << 8 | b;
          int[] pixels = new int[4];
          Arrays.fill(pixels, rgb);
          Frame frame = new Frame(2, 2);
          Rgb.toFrame(pixels, frame);
          Rgb.fromFrame(frame, pixels);
          assertThat(Math.abs((pixels[0] >> 16 & 255) - r)).isLessThanOrEqualTo(2);
          assertThat(Math.abs((pixels[0] >> 8 & 255) - g)).isLessThanOrEqualTo(2);
          assertThat(Math.abs((pixels[0] & 255) - b)).isLessThanOrEqualTo(2);
        }
      }
    }
  }
}
