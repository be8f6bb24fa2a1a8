package app.latethistle.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.look.Key;
import app.latethistle.core.look.LiePath;
import app.latethistle.core.look.Mask;
import app.latethistle.core.look.Matte;
import app.latethistle.core.look.Mixing;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class OverlayingTest {
  private static final int WIDTH = 96;
  private static final int HEIGHT = 64;
  private static final Overlaying.Manner STILL = new Overlaying.Manner(true, Mixing.NORMAL, 0);
  private static final Overlaying.Manner MOVING = new Overlaying.Manner(false, Mixing.NORMAL, 0);

  private static Frame flat(int luma, int cb, int cr) {
    Frame frame = new Frame(WIDTH, HEIGHT);
    Arrays.fill(frame.data(), 0, frame.offset(1), (byte) luma);
    Arrays.fill(frame.data(), frame.offset(1), frame.offset(2), (byte) cb);
    Arrays.fill(frame.data(), frame.offset(2), frame.data().length, (byte) cr);
    return frame;
  }

  /** A smooth picture, in which a fraction of a pixel can be seen. */
  private static Frame hills() {
    Frame frame = flat(0, 120, 140);
    for (int y = 0; y < HEIGHT; y++) {
      for (int x = 0; x < WIDTH; x++) {
        frame.data()[y * WIDTH + x] = (byte) hill(x, y);
      }
    }
    return frame;
  }

  private static int hill(double x, double y) {
    return (int) Math.round(120 + 50 * Math.sin(x / 7) + 40 * Math.cos(y / 6));
  }

  private static LiePath.Moment at(double opacity, double size, double x, double y, double turn) {
    return new LiePath.Moment(opacity, size, x, y, turn);
  }

  private static Frame over(
      Frame picture, LiePath.Moment lie, Overlaying.Manner manner, Frame under) {
    Frame target = new Frame(WIDTH, HEIGHT);
    target.copy(under);
    new Overlaying(WIDTH, HEIGHT).draw(Cutout.whole(picture), lie, manner, target);
    return target;
  }

  @Test
  void overTheWholePictureItIsThePicture() {
    Frame hills = hills();
    for (Overlaying.Manner manner : List.of(STILL, MOVING)) {
      Frame drawn = over(hills, at(1, 1, 0.5, 0.5, 0), manner, flat(200, 90, 90));
      for (int i = 0; i < hills.data().length; i++) {
        assertThat((drawn.data()[i] & 0xff) - (hills.data()[i] & 0xff)).isBetween(-1, 1);
      }
    }
    Frame under = flat(60, 100, 150);
    assertThat(over(hills, at(0, 1, 0.5, 0.5, 0), MOVING, under).data()).isEqualTo(under.data());
    assertThat(over(hills, at(1, 1, -2, 0.5, 1), MOVING, under).data()).isEqualTo(under.data());
    assertThat(over(hills, at(1, 1, 3, 0.5, 0), STILL, under).data()).isEqualTo(under.data());
  }

  /** Half of a pixel is half of a pixel: a sine is where it should be. */
  @ParameterizedTest
  @ValueSource(doubles = {0.25, 0.5, 1.75, 3.125, -2.4})
  void itStandsBetweenPixels(double pixels) {
    Frame drawn = over(hills(), at(1, 1, 0.5 + pixels / WIDTH, 0.5, 0), MOVING, flat(16, 128, 128));
    for (int y = 4; y < HEIGHT - 4; y += 5) {
      for (int x = 8; x < WIDTH - 8; x++) {
        int is = drawn.data()[y * WIDTH + x] & 0xff;
        assertThat(is - hill(x - pixels, y)).isBetween(-2, 2);
      }
    }
  }

  /** A turn is clockwise: what was above comes to lie at the right. */
  @Test
  void itTurnsClockwise() {
    Frame under = flat(16, 128, 128);
    Frame drawn = over(hills(), at(1, 1, 0.5, 0.5, Math.PI / 2), MOVING, under);
    double middleX = WIDTH / 2.0 - 0.5;
    double middleY = HEIGHT / 2.0 - 0.5;
    for (int y = 4; y < HEIGHT - 4; y += 3) {
      for (int x = (WIDTH - HEIGHT) / 2 + 4; x < (WIDTH + HEIGHT) / 2 - 4; x += 3) {
        int wanted = hill(middleX + (y - middleY), middleY - (x - middleX));
        assertThat((drawn.data()[y * WIDTH + x] & 0xff) - wanted).isBetween(-2, 2);
      }
    }
    assertThat(drawn.data()[HEIGHT / 2 * WIDTH + 4]).as("beside it").isEqualTo((byte) 16);
  }

  /** However it lies, it brings as much light as it is large. */
  @ParameterizedTest
  @CsvSource({"0.5, 0.3", "0.331, 0.7", "0.6, 0", "0.127, 1.1", "0.4, 2.5"})
  void itCoversAsMuchAsItIsLarge(double size, double turn) {
    Frame white = flat(216, 128, 128);
    Frame drawn = over(white, at(0.5, size, 0.483, 0.517, turn), MOVING, flat(16, 128, 128));
    double light = 0;
    for (int i = 0; i < drawn.offset(1); i++) {
      light += (drawn.data()[i] & 0xff) - 16;
    }
    assertThat(light / 100).isCloseTo(WIDTH * HEIGHT * size * size, within(4.0));
  }

  @ParameterizedTest
  @EnumSource(Mixing.class)
  void mixesByItsFormula(Mixing mixing) {
    Random random = new Random(3);
    for (int i = 0; i < 40; i++) {
      int below = random.nextInt(0x1000000);
      int above = random.nextInt(0x1000000);
      byte[] a = Rgb.toYuv(below);
      byte[] b = Rgb.toYuv(above);
      Frame drawn =
          over(
              flat(b[0], b[1], b[2]),
              at(1, 1, 0.5, 0.5, 0),
              new Overlaying.Manner(true, mixing, 0),
              flat(a[0], a[1], a[2]));
      int[] rgb = new int[WIDTH * HEIGHT];
      Rgb.fromFrame(drawn, rgb);
      for (int shift = 0; shift <= 16; shift += 8) {
        double wanted =
            255 * formula(mixing, (below >> shift & 255) / 255.0, (above >> shift & 255) / 255.0);
        // A code of luma or chroma is up to two of red, green or blue, in and out.
        assertThat((rgb[999] >> shift & 255) - wanted)
            .as("%s %06x %06x", mixing, below, above)
            .isBetween(-6.0, 6.0);
      }
    }
  }

  /** W3C, Compositing and Blending Level 1, sections 9.1 and 10.1. */
  private static double formula(Mixing mixing, double b, double s) {
    return switch (mixing) {
      case NORMAL -> s;
      case ADD -> Math.min(1, b + s);
      case MULTIPLY -> b * s;
      case SCREEN -> b + s - (b * s);
      case DARKEN -> Math.min(b, s);
      case LIGHTEN -> Math.max(b, s);
      case OVERLAY -> b <= 0.5 ? s * 2 * b : s + (2 * b - 1) - s * (2 * b - 1);
    };
  }

  private static Cutout masked(Mask mask, Frame picture) {
    Matting matting = new Matting(Matte.NONE.and(mask), WIDTH, HEIGHT);
    matting.draw(picture, null);
    return matting.drawn();
  }

  private static Mask mask(Mask.Kind kind, int softness, boolean outside, int... xy) {
    Mask.Spot[] spots = new Mask.Spot[xy.length / 2];
    for (int i = 0; i < spots.length; i++) {
      spots[i] = new Mask.Spot(xy[2 * i], xy[2 * i + 1]);
    }
    return new Mask(kind, List.of(spots), softness, outside);
  }

  private static double area(Cutout cutout) {
    double sum = 0;
    for (byte opacity : cutout.opacity()) {
      sum += (opacity & 0xff) / 255.0;
    }
    return sum / (WIDTH * HEIGHT);
  }

  @Test
  void masksLeaveAsMuchAsTheyAreLarge() {
    Frame hills = hills();
    Mask rectangle = mask(Mask.Kind.RECTANGLE, 0, false, 200, 250, 700, 750);
    assertThat(area(masked(rectangle, hills))).isCloseTo(0.25, within(0.005));
    Mask ellipse = mask(Mask.Kind.ELLIPSE, 0, false, 200, 250, 700, 750);
    assertThat(area(masked(ellipse, hills))).isCloseTo(Math.PI / 16, within(0.005));
    Mask soft = mask(Mask.Kind.ELLIPSE, 200, false, 200, 250, 700, 750);
    assertThat(area(masked(soft, hills))).isCloseTo(Math.PI / 16, within(0.01));
    Mask triangle = mask(Mask.Kind.OUTLINE, 0, false, 100, 100, 900, 100, 500, 900);
    assertThat(area(masked(triangle, hills))).isCloseTo(0.32, within(0.005));
    Mask beside = mask(Mask.Kind.OUTLINE, 0, true, 100, 100, 900, 100, 500, 900);
    assertThat(area(masked(beside, hills))).isCloseTo(0.68, within(0.005));
  }

  /** What is masked and laid over looks as a mix by its opacity. */
  @ParameterizedTest
  @ValueSource(booleans = {true, false})
  void whatIsMaskedLetsWhatIsUnderItThrough(boolean still) {
    Frame hills = hills();
    Cutout cutout = masked(mask(Mask.Kind.ELLIPSE, 300, false, 100, 100, 900, 900), hills);
    byte[] opacity = cutout.opacity().clone();
    Frame under = flat(60, 100, 150);
    Frame target = new Frame(WIDTH, HEIGHT);
    target.copy(under);
    new Overlaying(WIDTH, HEIGHT)
        .draw(cutout, at(1, 1, 0.5, 0.5, 0), still ? STILL : MOVING, target);
    for (int i = 0; i < opacity.length; i++) {
      double share = (opacity[i] & 0xff) / 255.0;
      double wanted = 60 + share * ((hills.data()[i] & 0xff) - 60);
      assertThat(target.data()[i] & 0xff).isCloseTo((int) Math.round(wanted), within(2));
    }
  }

  /** Light comes round an edge from what lies under it, and not far in. */
  @Test
  void lightComesRoundAnEdge() {
    Frame dark = flat(40, 128, 128);
    Frame bright = flat(220, 128, 128);
    Cutout cutout = masked(mask(Mask.Kind.RECTANGLE, 0, false, 0, -500, 500, 1500), dark);
    Frame target = new Frame(WIDTH, HEIGHT);
    target.copy(bright);
    Overlaying.Manner wrapped = new Overlaying.Manner(true, Mixing.NORMAL, 1);
    new Overlaying(WIDTH, HEIGHT).draw(cutout, at(1, 1, 0.5, 0.5, 0), wrapped, target);
    int row = HEIGHT / 2 * WIDTH;
    assertThat(target.data()[row + WIDTH / 2 - 1] & 0xff).isBetween(90, 200);
    assertThat(target.data()[row + WIDTH / 2 - 8] & 0xff).isBetween(38, 44);
    assertThat(target.data()[row + WIDTH / 2 + 1] & 0xff).isEqualTo(220);
  }

  @Test
  void aKeyAndAMaskWorkTogether() {
    byte[] green = Rgb.toYuv(0x20a040);
    Frame picture = flat(green[0], green[1], green[2]);
    for (int y = 20; y < 44; y++) {
      for (int x = 30; x < 66; x++) {
        picture.data()[y * WIDTH + x] = (byte) 150;
      }
    }
    for (int plane = 1; plane < 3; plane++) {
      for (int y = 10; y < 22; y++) {
        for (int x = 15; x < 33; x++) {
          picture.data()[picture.offset(plane) + y * WIDTH / 2 + x] = (byte) 128;
        }
      }
    }
    Mask left = mask(Mask.Kind.RECTANGLE, 0, false, 0, -500, 500, 1500);
    Matting matting = new Matting(Matte.of(Key.of(0x20a040)).and(left), WIDTH, HEIGHT);
    matting.draw(picture, null);
    byte[] opacity = matting.drawn().opacity();
    assertThat(opacity[32 * WIDTH + 40] & 0xff).as("the thing").isGreaterThan(250);
    assertThat(opacity[32 * WIDTH + 60] & 0xff).as("the thing, masked").isZero();
    assertThat(opacity[8 * WIDTH + 8] & 0xff).as("the backing").isLessThan(5);
  }
}
