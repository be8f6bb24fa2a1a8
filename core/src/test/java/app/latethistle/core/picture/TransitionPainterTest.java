package app.latethistle.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.look.LumaPattern;
import app.latethistle.core.look.TransitionKind;
import app.latethistle.core.look.TransitionManner;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What every kind of transition has in common, and what tells some of them. */
class TransitionPainterTest {
  private static final int WIDTH = 64;
  private static final int HEIGHT = 36;

  /** Within limited range, as films are. */
  private static Frame noise(long seed) {
    Random random = new Random(seed);
    Frame frame = new Frame(WIDTH, HEIGHT);
    for (int i = 0; i < frame.data().length; i++) {
      frame.data()[i] = (byte) (16 + random.nextInt(220));
    }
    return frame;
  }

  private static Frame flat(int luma) {
    Frame frame = new Frame(WIDTH, HEIGHT);
    frame.black();
    for (int i = 0; i < WIDTH * HEIGHT; i++) {
      frame.data()[i] = (byte) luma;
    }
    return frame;
  }

  private static byte[] draw(
      TransitionKind kind, TransitionManner manner, Frame one, Frame other, double share) {
    Frame into = new Frame(WIDTH, HEIGHT);
    TransitionPainter.of(kind, manner, WIDTH, HEIGHT).draw(one, other, share, into);
    return into.data();
  }

  private static double mean(byte[] data) {
    double sum = 0;
    for (int i = 0; i < WIDTH * HEIGHT; i++) {
      sum += data[i] & 0xff;
    }
    return sum / (WIDTH * HEIGHT);
  }

  @ParameterizedTest
  @EnumSource(TransitionKind.class)
  void beginsWithTheOneAndEndsWithTheOther(TransitionKind kind) {
    Frame one = noise(1);
    Frame other = noise(2);
    assertThat(draw(kind, kind.usual(), one, other, 0)).isEqualTo(one.data());
    assertThat(draw(kind, kind.usual(), one, other, 1)).isEqualTo(other.data());
  }

  /** From dark to light, it only grows lighter; what goes through another light apart. */
  @ParameterizedTest
  @EnumSource(
      value = TransitionKind.class,
      mode = EnumSource.Mode.EXCLUDE,
      names = {"THROUGH", "FLASH", "ADDITIVE"})
  void growsFromTheOneToTheOther(TransitionKind kind) {
    Frame dark = flat(40);
    Frame light = flat(200);
    double last = 0;
    for (int k = 0; k <= 20; k++) {
      double now = mean(draw(kind, kind.usual(), dark, light, k / 20.0));
      assertThat(now).isBetween(Math.max(40, last - 0.5), 200.5);
      last = now;
    }
  }

  /** Forward from one to the other is backward from the other to the one, mirrored. */
  @ParameterizedTest
  @CsvSource({"WIPE, 20", "DOORS, 0", "SLIDE, 0", "PUSH, 0", "SMEAR, 0"})
  void mirroredIsMirrored(TransitionKind kind, int softness) {
    Frame one = noise(3);
    Frame other = noise(4);
    TransitionManner left = TransitionManner.PLAIN.withSoftness(softness);
    TransitionManner right = left.withAngle(0);
    for (double share : new double[] {0.27, 0.5, 0.61}) {
      byte[] there = draw(kind, left, one, other, share);
      byte[] here = mirror(draw(kind, right, mirror(one), mirror(other), share)).data();
      double off = 0;
      for (int i = 0; i < WIDTH * HEIGHT; i++) {
        off += Math.abs((there[i] & 0xff) - (here[i] & 0xff));
      }
      // An edge may fall a sample further: of its line, 1 in 64, and that by the noise's
      // difference.
      assertThat(off / (WIDTH * HEIGHT)).as("at %s", share).isLessThan(3);
    }
  }

  private static Frame mirror(Frame frame) {
    return mirror(frame.data());
  }

  private static Frame mirror(byte[] data) {
    Frame out = new Frame(WIDTH, HEIGHT);
    for (int plane = 0; plane < 3; plane++) {
      int w = plane == 0 ? WIDTH : WIDTH / 2;
      int h = plane == 0 ? HEIGHT : HEIGHT / 2;
      for (int y = 0; y < h; y++) {
        for (int x = 0; x < w; x++) {
          out.data()[out.offset(plane) + y * w + x] = data[out.offset(plane) + y * w + w - 1 - x];
        }
      }
    }
    return out;
  }

  @Test
  void bothAreAtFullLightHalfWay() {
    byte[] half = draw(TransitionKind.ADDITIVE, TransitionManner.PLAIN, flat(60), flat(90), 0.5);
    assertThat(mean(half)).isEqualTo(60 + 90 - 16);
    byte[] bright =
        draw(TransitionKind.ADDITIVE, TransitionManner.PLAIN, flat(200), flat(200), 0.5);
    assertThat(mean(bright)).isEqualTo(235);
  }

  @Test
  void aFlashHidesTheCut() {
    TransitionManner white = TransitionKind.FLASH.usual();
    assertThat(mean(draw(TransitionKind.FLASH, white, noise(1), noise(2), 0.4999)))
        .isGreaterThan(234);
    assertThat(mean(draw(TransitionKind.FLASH, white, noise(1), noise(2), 0.5))).isEqualTo(235);
  }

  /** A wipe of softness s at half-way shows half of each, whatever its angle. */
  @ParameterizedTest
  @CsvSource({"0, 0", "90, 0", "180, 40", "37, 0", "37, 100", "225, 25", "300, 60"})
  void aWipeIsHalfDoneHalfWay(int angle, int softness) {
    TransitionManner manner = TransitionManner.PLAIN.withAngle(angle).withSoftness(softness);
    assertThat(mean(draw(TransitionKind.WIPE, manner, flat(40), flat(200), 0.5)))
        .isBetween(116.0, 124.0);
  }

  /** Left of an edge that goes to the right at a quarter of the way there is the other. */
  @Test
  void aWipeGoesWhereItIsSaid() {
    byte[] right =
        draw(TransitionKind.WIPE, TransitionManner.PLAIN.withAngle(0), flat(40), flat(200), 0.26);
    assertThat(right[5] & 0xff).isEqualTo(200);
    assertThat(right[40] & 0xff).isEqualTo(40);
    byte[] down =
        draw(TransitionKind.WIPE, TransitionManner.PLAIN.withAngle(90), flat(40), flat(200), 0.26);
    assertThat(down[2 * WIDTH] & 0xff).isEqualTo(200);
    assertThat(down[30 * WIDTH] & 0xff).isEqualTo(40);
  }

  /** What slides in at three quarters of the way lies a quarter of the picture from its place. */
  @Test
  void whatSlidesInKeepsItsShape() {
    Frame other = noise(9);
    byte[] slid = draw(TransitionKind.SLIDE, TransitionManner.PLAIN, flat(40), other, 0.75);
    for (int x = 0; x < 48; x++) {
      assertThat(slid[16 + x]).isEqualTo(other.data()[x]);
    }
    assertThat(slid[10] & 0xff).isEqualTo(40);
  }

  /** Every pattern uses the whole of its way: after a tenth something came, after nine not all. */
  @ParameterizedTest
  @EnumSource(LumaPattern.class)
  void aPatternComesBitByBit(LumaPattern pattern) {
    TransitionManner manner = TransitionKind.LUMA.usual().withPattern(pattern);
    double before = 40;
    for (int k = 1; k < 10; k++) {
      double now = mean(draw(TransitionKind.LUMA, manner, flat(40), flat(200), k / 10.0));
      assertThat(now).isBetween(before, 200.0);
      before = now;
    }
    assertThat(mean(draw(TransitionKind.LUMA, manner, flat(40), flat(200), 0.5)))
        .isBetween(75.0, 165.0);
  }

  /** A still that goes from black to white across is a wipe that way. */
  @Test
  void aStillSaysWhatComesFirst() {
    Frame ramp = flat(128);
    for (int i = 0; i < WIDTH * HEIGHT; i++) {
      ramp.data()[i] = (byte) Math.round(16 + 219.0 * (i % WIDTH) / WIDTH);
    }
    TransitionManner manner = TransitionManner.PLAIN.withAngle(0).withSoftness(30);
    for (double share : new double[] {0, 0.3, 0.5, 0.8, 1}) {
      Frame made = new Frame(WIDTH, HEIGHT);
      TransitionPainter.by(ramp, manner).draw(flat(40), flat(200), share, made);
      byte[] wipe = draw(TransitionKind.WIPE, manner, flat(40), flat(200), share);
      for (int i = 0; i < WIDTH * HEIGHT; i++) {
        assertThat(made.data()[i] & 0xff).isCloseTo(wipe[i] & 0xff, within(8));
      }
    }
  }
}
