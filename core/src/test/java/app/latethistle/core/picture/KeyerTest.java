package app.latethistle.core.picture;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.look.Key;
import app.latethistle.core.look.LiePath;
import app.latethistle.core.look.Mixing;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Keys held against composites whose opacity is known. */
class KeyerTest {
  private static final int WIDTH = 320;
  private static final int HEIGHT = 180;

  /** A figure's opacity: a head and a body with soft edges, and thin strands. */
  static double[] figure(Random random) {
    double[] alpha = new double[WIDTH * HEIGHT];
    double middle = WIDTH * (0.35 + 0.3 * random.nextDouble());
    double soft = 0.8 + 2.5 * random.nextDouble();
    for (int i = 0; i < alpha.length; i++) {
      double x = i % WIDTH;
      double y = i / WIDTH;
      double head = 26 - Math.hypot(x - middle, y - 55);
      double body = 1 - Math.hypot((x - middle) / 52, (y - 180) / 105);
      double strand = y > 20 && y < 60 ? 1.4 - Math.abs(x - middle - 40 - 6 * Math.sin(y / 9)) : -9;
      double far = Math.max(Math.max(head, body * 52), strand);
      alpha[i] = Math.max(0, Math.min(1, 0.5 + far / (2 * soft)));
    }
    return alpha;
  }

  /** What the figure is made of: skin, cloth and grey, in patches. */
  private static int cloth(int x, int y) {
    int[] colours = {0xb08868, 0x6a3a34, 0x8a8a90, 0x2c3048, 0xd8cfc0};
    return colours[Math.floorMod(x / 30 + y / 25, colours.length)];
  }

  /** The figure before a backing whose light falls off by a share, with noise of so many codes. */
  static Frame before(int backing, double falls, double noise, double[] alpha, long seed) {
    Random random = new Random(seed);
    int[] rgb = new int[WIDTH * HEIGHT];
    for (int i = 0; i < rgb.length; i++) {
      int x = i % WIDTH;
      int y = i / WIDTH;
      double light = 1 - falls * Math.hypot(x - 0.4 * WIDTH, y - 0.3 * HEIGHT) / WIDTH;
      int cloth = cloth(x, y);
      int pixel = 0;
      for (int shift = 16; shift >= 0; shift -= 8) {
        double mixed =
            alpha[i] * (cloth >> shift & 255) + (1 - alpha[i]) * light * (backing >> shift & 255);
        int value = (int) Math.round(mixed + noise * random.nextGaussian());
        pixel |= Math.max(0, Math.min(255, value)) << shift;
      }
      rgb[i] = pixel;
    }
    Frame frame = new Frame(WIDTH, HEIGHT);
    Rgb.toFrame(rgb, frame);
    return frame;
  }

  private static double error(byte[] opacity, double[] alpha) {
    double sum = 0;
    for (int i = 0; i < alpha.length; i++) {
      sum += Math.abs((opacity[i] & 0xff) / 255.0 - alpha[i]);
    }
    return sum / alpha.length;
  }

  private static double error(int backing, double falls, double noise, long seed) {
    double[] alpha = figure(new Random(seed));
    Frame frame = before(backing, falls, noise, alpha, seed);
    int found = Backing.of(frame).orElseThrow();
    Keyer keyer = new Keyer(List.of(Key.of(found)), WIDTH, HEIGHT);
    keyer.draw(frame);
    return error(keyer.opacity(), alpha);
  }

  @ParameterizedTest
  @CsvSource({"0x1fa53a", "0x20c040", "0x2448c8", "0x3060e0", "0x18803a"})
  void anEvenBackingLeavesTheFigure(String backing) {
    for (long seed = 1; seed <= 6; seed++) {
      assertThat(error(Integer.decode(backing), 0, 0, seed)).as("seed %d", seed).isLessThan(0.03);
    }
  }

  @ParameterizedTest
  @CsvSource({"0x1fa53a, 0.45, 4", "0x20c040, 0.3, 8", "0x2448c8, 0.5, 4", "0x3060e0, 0.2, 9"})
  void anUnevenAndNoisyOneDoesToo(String backing, double falls, double noise) {
    for (long seed = 11; seed <= 16; seed++) {
      assertThat(error(Integer.decode(backing), falls, noise, seed))
          .as("seed %d", seed)
          .isLessThan(0.06);
    }
  }

  /** Laid over another picture, the figure is as if it had been painted there. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3})
  void aFigureLaidOverAnotherPictureHasNothingOfItsBacking(long seed) {
    double[] alpha = figure(new Random(seed));
    Frame frame = before(0x1fa53a, 0.2, 0, alpha, seed);
    Frame wanted = before(0x301020, 0, 0, alpha, seed);
    Frame target = before(0x301020, 0, 0, new double[alpha.length], seed);
    Keyer keyer = new Keyer(List.of(Key.of(Backing.of(frame).orElseThrow())), WIDTH, HEIGHT);
    Frame stays = keyer.draw(frame);
    new Overlaying(target.width(), target.height())
        .draw(
            Cutout.of(stays, keyer.opacity()),
            LiePath.WHOLE.at(0),
            new Overlaying.Manner(/* still= */ true, Mixing.NORMAL, /* wrap= */ 0),
            target);
    double squares = 0;
    double colour = 0;
    for (int i = 0; i < frame.data().length; i++) {
      int off = (target.data()[i] & 255) - (wanted.data()[i] & 255);
      squares += i < WIDTH * HEIGHT ? off * off : 0;
      colour += i < WIDTH * HEIGHT ? 0 : off * off;
    }
    double psnr = 10 * Math.log10(255 * 255 / (squares / (WIDTH * HEIGHT)));
    double chroma = 10 * Math.log10(255 * 255 / (colour / (WIDTH * HEIGHT / 2.0)));
    assertThat(psnr).isGreaterThan(30);
    assertThat(chroma).isGreaterThan(33);
  }

  @Test
  void aShadowOnTheBackingIsKeptWhereItIsAskedFor() {
    Frame frame = new Frame(WIDTH, HEIGHT);
    int[] rgb = new int[WIDTH * HEIGHT];
    for (int i = 0; i < rgb.length; i++) {
      rgb[i] = i % WIDTH < WIDTH / 2 ? 0x20b040 : 0x105820;
    }
    Rgb.toFrame(rgb, frame);
    for (int shadow : List.of(0, 100)) {
      Keyer keyer = new Keyer(List.of(new Key(0x20b040, 40, 8, 100, shadow)), WIDTH, HEIGHT);
      keyer.draw(frame);
      int lit = keyer.opacity()[90 * WIDTH + 20] & 0xff;
      int dark = keyer.opacity()[90 * WIDTH + 300] & 0xff;
      assertThat(lit).isLessThan(10);
      assertThat(dark).isBetween(shadow == 0 ? 0 : 100, shadow == 0 ? 70 : 220);
    }
  }

  @Test
  void aPictureWithoutABackingHasNone() {
    double[] all = new double[WIDTH * HEIGHT];
    Arrays.fill(all, 1);
    assertThat(Backing.of(before(0x20c040, 0, 0, all, 3))).isEmpty();
    Frame frame = before(0x20c040, 0, 0, figure(new Random(2)), 2);
    int found = Backing.of(frame).orElseThrow();
    assertThat(found >> 8 & 255).as("green").isCloseTo(0xc0, Offset.offset(6));
    assertThat(new Keyer(List.of(), WIDTH, HEIGHT).draw(frame).data()).isEqualTo(frame.data());
  }
}
