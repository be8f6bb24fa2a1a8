package app.latethistle.core.picture;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What any good scaler does, whatever its kernel. */
class ScalerTest {
  private static byte[] scaled(byte[] source, int w, int h, Region from, int toW, int toH) {
    byte[] target = new byte[toW * toH];
    new Scaler(from, w, h, toW, toH, false).scale(source, 0, target, 0, toW);
    return target;
  }

  private static Region whole(int w, int h) {
    return new Region(0, 0, w, h);
  }

  private static byte[] noise(Random random, int w, int h) {
    byte[] plane = new byte[w * h];
    random.nextBytes(plane);
    return plane;
  }

  private static int at(byte[] plane, int width, int x, int y) {
    return plane[y * width + x] & 255;
  }

  @ParameterizedTest
  @CsvSource({"40,30,80,60", "40,30,41,29", "64,48,16,12", "64,48,7,5", "30,40,90,40", "8,8,8,8"})
  void aPlainSurfaceStaysPlain(int w, int h, int toW, int toH) {
    for (int code : new int[] {0, 16, 127, 235, 255}) {
      byte[] source = new byte[w * h];
      Arrays.fill(source, (byte) code);
      for (byte seen : scaled(source, w, h, whole(w, h), toW, toH)) {
        assertThat(seen & 255).isEqualTo(code);
      }
    }
  }

  @Test
  void theSameSizeIsTheSamePicture() {
    byte[] source = noise(new Random(5), 33, 21);
    assertThat(scaled(source, 33, 21, whole(33, 21), 33, 21)).isEqualTo(source);
  }

  /** A slope stays a slope of its own places, away from the edges, up and down in size. */
  @ParameterizedTest
  @CsvSource({"64,160", "64,96", "64,40", "96,24"})
  void aSlopeStaysASlope(int w, int toW) {
    int h = 8;
    byte[] source = new byte[w * h];
    for (int i = 0; i < source.length; i++) {
      source[i] = (byte) (20 + 2 * (i % w));
    }
    byte[] seen = scaled(source, w, h, whole(w, h), toW, h);
    double step = (double) w / toW;
    int margin = (int) Math.ceil(4 * Math.max(1, 1 / step));
    for (int x = margin; x < toW - margin; x++) {
      double place = (x + 0.5) * step - 0.5;
      assertThat((double) at(seen, toW, x, 4)).isBetween(19.3 + 2 * place, 20.7 + 2 * place);
    }
  }

  /** The mean light of a picture stays what it is when it is made smaller. */
  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void smallerPicturesHaveTheSameMean(long seed) {
    Random random = new Random(seed);
    int w = 48 + 2 * random.nextInt(20);
    int h = 48 + 2 * random.nextInt(20);
    byte[] source = new byte[w * h];
    for (int i = 0; i < source.length; i++) {
      source[i] = (byte) (90 + random.nextInt(70));
    }
    byte[] seen = scaled(source, w, h, whole(w, h), w / 4, h / 4);
    assertThat(mean(seen)).isBetween(mean(source) - 1, mean(source) + 1);
  }

  private static double mean(byte[] plane) {
    long sum = 0;
    for (byte b : plane) {
      sum += b & 255;
    }
    return (double) sum / plane.length;
  }

  /** Lines finer than the small picture can hold become grey, not other lines. */
  @Test
  void finerLinesThanFitBecomeGrey() {
    int w = 120;
    byte[] source = new byte[w * w];
    for (int i = 0; i < source.length; i++) {
      source[i] = (byte) (i % w % 2 == 0 ? 40 : 200);
    }
    byte[] seen = scaled(source, w, w, whole(w, w), 40, 40);
    for (int x = 4; x < 36; x++) {
      assertThat(at(seen, 40, x, 20)).isBetween(112, 128);
    }
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void leftAndRightAreTreatedAlike(long seed) {
    Random random = new Random(seed);
    int w = 20 + random.nextInt(40);
    int h = 10 + random.nextInt(20);
    int toW = 10 + random.nextInt(80);
    int toH = 10 + random.nextInt(40);
    byte[] source = noise(random, w, h);
    byte[] mirrored = mirrored(source, w);
    byte[] seen = scaled(source, w, h, whole(w, h), toW, toH);
    byte[] other = mirrored(scaled(mirrored, w, h, whole(w, h), toW, toH), toW);
    for (int i = 0; i < seen.length; i++) {
      assertThat((other[i] & 255) - (seen[i] & 255)).isBetween(-1, 1);
    }
  }

  private static byte[] mirrored(byte[] plane, int width) {
    byte[] mirrored = new byte[plane.length];
    for (int i = 0; i < plane.length; i++) {
      mirrored[i] = plane[i / width * width + width - 1 - i % width];
    }
    return mirrored;
  }

  /** A part of a picture at its own size is that part. */
  @Test
  void aWholePartIsCutOut() {
    byte[] source = noise(new Random(9), 40, 30);
    byte[] part = scaled(source, 40, 30, new Region(10, 6, 16, 12), 16, 12);
    for (int y = 0; y < 12; y++) {
      for (int x = 0; x < 16; x++) {
        assertThat(at(part, 16, x, y)).isEqualTo(at(source, 40, x + 10, y + 6));
      }
    }
  }
}
