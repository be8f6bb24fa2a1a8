package app.latethistle.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What matters in painted scenes whose thing is known. */
class FocusFinderTest {
  private static final int W = 96;
  private static final int H = 54;

  private static byte[] flat(int value) {
    byte[] plane = new byte[W * H];
    Arrays.fill(plane, (byte) value);
    return plane;
  }

  /** A textured ground that is seen from a little further right with each frame. */
  private static byte[] ground(long seed, double moved) {
    byte[] plane = new byte[W * H];
    double a = 5 + seed % 7;
    for (int i = 0; i < plane.length; i++) {
      double x = i % W + moved;
      double y = i / W;
      plane[i] = (byte) (90 + 14 * Math.sin(x / a) * Math.cos(y / 4.0) + 6 * Math.sin(y / 2.3));
    }
    return plane;
  }

  private static void disc(byte[] plane, double x, double y, double r, int value) {
    for (int i = 0; i < plane.length; i++) {
      if (Math.hypot(i % W + 0.5 - x, i / W + 0.5 - y) < r) {
        plane[i] = (byte) value;
      }
    }
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
  void aBrightThingOnAQuietGroundIsFound(long seed) {
    Random random = new Random(seed);
    double x = (0.15 + 0.7 * random.nextDouble()) * W;
    double y = (0.2 + 0.6 * random.nextDouble()) * H;
    FocusFinder finder = new FocusFinder(W, H);
    for (int k = 0; k < 6; k++) {
      byte[] luma = ground(seed, 0);
      disc(luma, x, y, 6, 210);
      finder.add(luma, flat(128), flat(128));
    }
    FocusFinder.Found found = finder.found().orElseThrow();
    assertThat(found.places()).hasSize(1);
    assertThat(found.places().get(0).x()).isCloseTo(x / W, offset(0.05));
    assertThat(found.places().get(0).y()).isCloseTo(y / H, offset(0.07));
    assertThat(found.across()).isLessThan(0.25);
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4})
  void aThingOfTheGroundsBrightnessIsFoundByItsColour(long seed) {
    double x = (0.2 + 0.15 * seed) * W;
    FocusFinder finder = new FocusFinder(W, H);
    for (int k = 0; k < 3; k++) {
      byte[] cr = flat(128);
      disc(cr, x, 20, 7, 190);
      finder.add(ground(seed, 0), flat(128), cr);
    }
    assertThat(finder.found().orElseThrow().places().get(0).x()).isCloseTo(x / W, offset(0.05));
  }

  /** A small thing crosses the picture while the camera moves over a ground. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4})
  void aThingThatMovesOtherwiseIsFollowed(long seed) {
    FocusFinder finder = new FocusFinder(W, H);
    for (int k = 0; k < 9; k++) {
      byte[] luma = ground(seed, 0.4 * k);
      disc(luma, (0.2 + 0.075 * k) * W, 0.6 * H, 4, 165);
      finder.add(luma, flat(128), flat(128));
    }
    FocusFinder.Found found = finder.found().orElseThrow();
    assertThat(found.places()).hasSize(3);
    assertThat(found.places().get(0).x()).isCloseTo(0.275, offset(0.09));
    assertThat(found.places().get(1).x()).isCloseTo(0.5, offset(0.09));
    assertThat(found.places().get(2).x()).isCloseTo(0.725, offset(0.09));
  }

  @Test
  void twoThingsFarApartAreAWideOne() {
    FocusFinder finder = new FocusFinder(W, H);
    byte[] luma = ground(3, 0);
    disc(luma, 0.2 * W, 0.5 * H, 6, 220);
    disc(luma, 0.8 * W, 0.5 * H, 6, 220);
    finder.add(luma, flat(128), flat(128));
    assertThat(finder.found().orElseThrow().across()).isGreaterThan(0.55);
  }

  /** Rays all over the picture: there is a middle, but nothing that a shape would have to hold. */
  @Test
  void whatFillsThePictureIsNoSingleThing() {
    byte[] luma = new byte[W * H];
    for (int i = 0; i < luma.length; i++) {
      double turn = Math.atan2(i / W - H / 2.0, i % W - W / 2.0);
      luma[i] = (byte) (turn * 3 - Math.floor(turn * 3) < 0.12 ? 230 : 80);
    }
    FocusFinder finder = new FocusFinder(W, H);
    finder.add(luma, flat(128), flat(128));
    FocusFinder.Found found = finder.found().orElseThrow();
    assertThat(found.across()).isZero();
    assertThat(found.places().get(0).x()).isCloseTo(0.5, offset(0.15));
  }

  @Test
  void nothingStandsOutOfAnEvenPicture() {
    FocusFinder finder = new FocusFinder(W, H);
    finder.add(flat(90), flat(128), flat(128));
    assertThat(finder.found()).isEmpty();
  }
}
