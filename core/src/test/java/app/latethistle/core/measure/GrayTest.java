package app.latethistle.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.time.FrameRange;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** The small measures from which a take's facts are made, on pictures whose answer is known. */
class GrayTest {
  private static final double RATE = 24;

  private static Gray noise(long seed, double contrast) {
    Random random = new Random(seed);
    float[] data = new float[40 * 30];
    for (int i = 0; i < data.length; i++) {
      data[i] = (float) (120 + contrast * (random.nextDouble() - 0.5));
    }
    return new Gray(40, 30, data);
  }

  private static Gray plus(Gray picture, double by, double times) {
    float[] data = new float[picture.data.length];
    for (int i = 0; i < data.length; i++) {
      data[i] = (float) (by + times * picture.data[i]);
    }
    return new Gray(picture.width, picture.height, data);
  }

  @Test
  void aBrighterPictureDiffersButNotInShape() {
    Gray picture = noise(1, 80);
    assertThat(picture.difference(plus(picture, 12, 1))).isCloseTo(12, within(1e-3));
    assertThat(picture.differenceInShape(plus(picture, 12, 1))).isCloseTo(0, within(1e-2));
    assertThat(picture.differenceInShape(plus(picture, -20, 1.5))).isCloseTo(0, within(1e-2));
    assertThat(picture.differenceInShape(noise(2, 80))).isGreaterThan(10);
  }

  @Test
  void halvesAndBlursKeepTheMean() {
    Gray picture = noise(3, 100);
    assertThat(picture.half().width).isEqualTo(20);
    assertThat(picture.half().mean()).isCloseTo(picture.mean(), within(1e-3));
    assertThat(picture.smooth().mean()).isCloseTo(picture.mean(), within(1.0));
    Gray plain = plus(picture, 77, 0);
    assertThat(plain.smooth().data).containsOnly(77f);
  }

  @Test
  void ofBytesIsUnsigned() {
    assertThat(Gray.of(2, 1, new byte[] {(byte) 255, 3}).data).containsExactly(255f, 3f);
  }

  private static List<FrameRange> frozen(int... runs) {
    Stillness stillness = new Stillness();
    long seed = 0;
    for (int run : runs) {
      Gray picture = noise(++seed, 60);
      for (int i = 0; i < run; i++) {
        stillness.add(picture, RATE);
      }
    }
    return stillness.finish(RATE);
  }

  @Test
  void aFreezeLastsMoreThanHalfASecond() {
    assertThat(frozen(1, 12, 1, 13, 1)).containsExactly(new FrameRange(14, 27));
    assertThat(frozen(20, 1)).containsExactly(new FrameRange(0, 20));
    assertThat(frozen(1, 1, 30)).containsExactly(new FrameRange(2, 32));
    assertThat(frozen(1, 1, 1)).isEmpty();
  }

  @Test
  void everySecondPictureThatRepeatsIsFound() {
    double[] differences = new double[60];
    for (int i = 0; i < differences.length; i++) {
      differences[i] = i % 2 == 0 ? 0.01 : 3;
    }
    boolean[] repeats = Stillness.repeats(differences);
    int found = 0;
    for (boolean repeat : repeats) {
      found += repeat ? 1 : 0;
    }
    assertThat(found).as("all but the first, which has none before it").isEqualTo(29);
    double[] still = new double[60];
    assertThat(Stillness.repeats(still)).as("nothing can be told").doesNotContain(true);
  }

  private static double[] levels(int length, int... flashes) {
    double[] levels = new double[length];
    for (int i = 0; i < length; i++) {
      levels[i] = 100 + 0.2 * i;
    }
    for (int flash : flashes) {
      levels[flash] += 20;
    }
    return levels;
  }

  @Test
  void threeFlashesInASecondAreFlickerAndASlowRiseIsNot() {
    assertThat(Brightness.flicker(levels(96), RATE)).isEmpty();
    assertThat(Brightness.flicker(levels(96, 20, 60), RATE)).isEmpty();
    List<FrameRange> flicker = Brightness.flicker(levels(96, 30, 36, 42, 48), RATE);
    assertThat(flicker).hasSize(1);
    assertThat(flicker.get(0).start()).isBetween(28L, 31L);
    assertThat(flicker.get(0).end()).isBetween(48L, 52L);
  }

  @Test
  void sharpnessFallsWhenAPictureIsBlurred() {
    List<Double> sharpness = new ArrayList<>();
    Gray picture = noise(4, 120);
    for (int i = 0; i < 4; i++) {
      sharpness.add(Sharpness.of(picture));
      picture = picture.smooth();
    }
    for (int i = 1; i < sharpness.size(); i++) {
      assertThat(sharpness.get(i)).isLessThan(sharpness.get(i - 1));
    }
  }
}
