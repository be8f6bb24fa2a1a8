package app.latethistle.core.picture;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

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

  private static int byte709(double value) {
    return (int) Math.max(0, Math.min(255, Math.floor(value)));
  }

  /**
   * ITU-R BT.709-6 in the other direction, in double precision: each pixel has its own luma, each
   * 2x2 pixels their chroma. Our fixed point may round by one code.
   */
  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void everyPixelComesFromItsOwnLumaAndItsBlocksChroma(long seed) {
    Random random = new Random(seed);
    Frame frame = new Frame(12, 8);
    random.nextBytes(frame.data());
    int[] rgb = new int[12 * 8];
    Rgb.fromFrame(frame, rgb);
    for (int y = 0; y < 8; y++) {
      for (int x = 0; x < 12; x++) {
        double luma = ((frame.data()[y * 12 + x] & 255) - 16) / 219.0;
        int at = y / 2 * 6 + x / 2;
        double cb = ((frame.data()[frame.offset(1) + at] & 255) - 128) / 224.0;
        double cr = ((frame.data()[frame.offset(2) + at] & 255) - 128) / 224.0;
        double red = luma + 1.5748 * cr;
        double blue = luma + 1.8556 * cb;
        double green = (luma - 0.2126 * red - 0.0722 * blue) / 0.7152;
        int pixel = rgb[y * 12 + x];
        assertThat(Math.abs((pixel >> 16 & 255) - byte709(255 * red + 0.5))).isLessThan(2);
        assertThat(Math.abs((pixel >> 8 & 255) - byte709(255 * green + 0.5))).isLessThan(2);
        assertThat(Math.abs((pixel & 255) - byte709(255 * blue + 0.5))).isLessThan(2);
      }
    }
  }

  @Test
  void chromaIsTheMeanOfFourPixels() {
    // Red above blue, twice: the mean of the primaries' codes, and each pixel its own luma.
    int[] pixels = {0xFF0000, 0xFF0000, 0x0000FF, 0x0000FF};
    Frame frame = new Frame(2, 2);
    Rgb.toFrame(pixels, frame);
    assertThat(frame.data()).containsExactly(63, 63, 32, 32, (byte) 171, (byte) 179);
  }
}
