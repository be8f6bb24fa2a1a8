package app.latethistle.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.look.Fit;
import app.latethistle.core.look.Framing;
import app.latethistle.core.take.PictureShape;
import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

class FramerTest {
  private static Frame plain(int width, int height, int y, int u, int v) {
    Frame frame = new Frame(width, height);
    Arrays.fill(frame.data(), 0, frame.offset(1), (byte) y);
    Arrays.fill(frame.data(), frame.offset(1), frame.offset(2), (byte) u);
    Arrays.fill(frame.data(), frame.offset(2), frame.data().length, (byte) v);
    return frame;
  }

  private static int luma(Frame frame, int x, int y) {
    return frame.data()[y * frame.width() + x] & 255;
  }

  private static Frame draw(Frame source, int width, int height, Framing framing) {
    Frame target = new Frame(width, height);
    Framer.of(PictureShape.of(source.width(), source.height()), width, height, framing)
        .draw(source, target);
    return target;
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void aPictureOfTheFilmsOwnSizeIsLeftExactlyAsItIs(long seed) {
    Frame source = new Frame(64, 36);
    new Random(seed).nextBytes(source.data());
    assertThat(draw(source, 64, 36, Framing.FILL).data()).isEqualTo(source.data());
    assertThat(draw(source, 64, 36, Framing.FIT).data()).isEqualTo(source.data());
  }

  @ParameterizedTest
  @EnumSource(
      value = Fit.class,
      names = {"FIT", "FILL"})
  void aPlainPictureStaysPlainAtAnySize(Fit fit) {
    for (int[] size : new int[][] {{128, 72}, {40, 20}, {320, 180}}) {
      Frame target = draw(plain(64, 36, 90, 140, 120), size[0], size[1], new Framing(fit));
      assertThat(luma(target, size[0] / 2, size[1] / 2)).isEqualTo(90);
      int middle = target.height() / 4 * (target.width() / 2) + target.width() / 4;
      assertThat(target.data()[target.offset(1) + middle] & 255).isEqualTo(140);
      assertThat(target.data()[target.offset(2) + middle] & 255).isEqualTo(120);
    }
  }

  @Test
  void fittingASquareLeavesBlackBars() {
    Frame target = draw(plain(64, 64, 200, 128, 128), 160, 90, Framing.FIT);
    assertThat(luma(target, 5, 45)).isEqualTo(16);
    assertThat(luma(target, 154, 45)).isEqualTo(16);
    assertThat(luma(target, 80, 2)).isEqualTo(200);
    assertThat(luma(target, 80, 87)).isEqualTo(200);
  }

  @Test
  void fillingASquareCropsTopAndBottom() {
    Frame source = plain(64, 64, 200, 128, 128);
    // The top and bottom eighth are dark; 9/16 of the height remain, so none of it is seen.
    Arrays.fill(source.data(), 0, 64 * 8, (byte) 30);
    Arrays.fill(source.data(), 64 * 56, 64 * 64, (byte) 30);
    Frame target = draw(source, 160, 90, Framing.FILL);
    for (int y = 0; y < 90; y++) {
      assertThat(luma(target, 80, y)).isBetween(190, 210);
    }
  }

  @Test
  void theSoftBackdropIsDarkerThanThePictureAndNotBlack() {
    Frame target = draw(plain(64, 64, 200, 128, 128), 160, 90, Framing.SOFT);
    assertThat(luma(target, 80, 45)).isEqualTo(200);
    assertThat(luma(target, 5, 45)).isBetween(30, 180);
  }

  @Test
  void aRampKeepsItsSlopeWhenScaled() {
    Frame source = new Frame(128, 72);
    source.black();
    for (int y = 0; y < 72; y++) {
      for (int x = 0; x < 128; x++) {
        source.data()[y * 128 + x] = (byte) (20 + x);
      }
    }
    Frame larger = draw(source, 256, 144, Framing.FILL);
    Frame smaller = draw(source, 64, 36, Framing.FILL);
    for (int x = 16; x < 240; x++) {
      // Sample centres: target x + 1/2 lies at source (x + 1/2) / 2.
      assertThat(Math.abs(luma(larger, x, 70) - (20 + (x + 0.5) / 2 - 0.5))).isLessThan(1);
    }
    for (int x = 4; x < 60; x++) {
      assertThat(Math.abs(luma(smaller, x, 18) - (20 + (x + 0.5) * 2 - 0.5))).isLessThan(1);
    }
  }

  @Test
  void framesHaveEvenSides() {
    assertThatIllegalArgumentException().isThrownBy(() -> new Frame(63, 36));
    assertThatIllegalArgumentException().isThrownBy(() -> new Frame(64, 36, new byte[5]));
  }

  @Test
  void fadesTowardsBlackInLimitedRange() {
    Frame frame = plain(4, 4, 216, 168, 88);
    Fade.toBlack(frame, 0.5);
    assertThat(luma(frame, 1, 1)).isEqualTo(116);
    assertThat(frame.data()[frame.offset(1)] & 255).isEqualTo(148);
    assertThat(frame.data()[frame.offset(2)] & 255).isEqualTo(108);
    Fade.toBlack(frame, 0);
    Frame black = new Frame(4, 4);
    black.black();
    assertThat(frame.data()).isEqualTo(black.data());
  }

  /** A clip and a film, with even sides, in no proportion to each other. */
  private record Sizes(Frame source, int width, int height) {
    static Sizes of(long seed) {
      Random random = new Random(seed);
      Frame source = new Frame(16 + 2 * random.nextInt(40), 16 + 2 * random.nextInt(40));
      random.nextBytes(source.data());
      return new Sizes(source, 16 + 2 * random.nextInt(40), 16 + 2 * random.nextInt(40));
    }

    Frame drawn(Framing framing) {
      return draw(source, width, height, framing);
    }
  }

  /** The clip lies whole in the middle, on even pixels, touching two sides. */
  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void fittingIsTheClipAtThatSizeOnBlack(long seed) {
    Sizes sizes = Sizes.of(seed);
    double scale =
        Math.min(
            (double) sizes.width / sizes.source.width(),
            (double) sizes.height / sizes.source.height());
    Region place =
        Region.placeWhenFitting(
            PictureShape.of(sizes.source.width(), sizes.source.height()),
            sizes.width,
            sizes.height);
    int w = (int) place.width();
    int h = (int) place.height();
    assertThat(w == sizes.width || h == sizes.height).isTrue();
    assertThat(Math.abs(w - sizes.source.width() * scale)).isLessThanOrEqualTo(1);
    assertThat(Math.abs(h - sizes.source.height() * scale)).isLessThanOrEqualTo(1);
    assertThat(Math.abs(sizes.width - w - 2 * place.x())).isLessThanOrEqualTo(2);
    assertThat(Math.abs(sizes.height - h - 2 * place.y())).isLessThanOrEqualTo(2);
    assertThat(place.x() % 2).isZero();
    assertThat(place.y() % 2).isZero();

    Frame alone = new Frame(w, h);
    PictureShape clip = PictureShape.of(sizes.source.width(), sizes.source.height());
    for (int plane = 0; plane < 3; plane++) {
      int part = plane == 0 ? 1 : 2;
      new Scaler(
              new Region(0, 0, clip.width() / part, clip.height() / part),
              clip.width() / part,
              clip.height() / part,
              w / part,
              h / part,
              plane > 0)
          .scale(
              sizes.source.data(),
              sizes.source.offset(plane),
              alone.data(),
              alone.offset(plane),
              w / part);
    }
    Frame expected = new Frame(sizes.width, sizes.height);
    expected.black();
    expected.paste(alone, (int) place.x(), (int) place.y());
    assertThat(sizes.drawn(Framing.FIT).data()).isEqualTo(expected.data());
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void theSoftBackdropLiesOnlyWhereTheClipDoesNot(long seed) {
    Sizes sizes = Sizes.of(seed);
    Frame fit = sizes.drawn(Framing.FIT);
    Frame soft = sizes.drawn(Framing.SOFT);
    Region place =
        Region.placeWhenFitting(
            PictureShape.of(sizes.source.width(), sizes.source.height()),
            sizes.width,
            sizes.height);
    for (int y = 0; y < sizes.height; y++) {
      for (int x = 0; x < sizes.width; x++) {
        if (x >= place.x()
            && x < place.x() + place.width()
            && y >= place.y()
            && y < place.y() + place.height()) {
          assertThat(luma(soft, x, y)).isEqualTo(luma(fit, x, y));
        }
      }
    }
  }

  @Test
  void theSoftBackdropIsTheClipDarkerAndBlurred() {
    // Left half light, right half dark, in a film twice as wide: a backdrop to either side.
    Frame source = plain(240, 240, 40, 100, 160);
    for (int y = 0; y < 240; y++) {
      Arrays.fill(source.data(), y * 240, y * 240 + 120, (byte) 216);
    }
    Frame target = draw(source, 480, 240, Framing.SOFT);
    // Limited range: 16 is black, and 0.45 of what is above it is left.
    assertThat(luma(target, 20, 120)).isBetween(104, 106);
    assertThat(luma(target, 460, 120)).isBetween(26, 28);
    int chroma = 60 * 240 + 10;
    assertThat(target.data()[target.offset(1) + chroma] & 255).isBetween(115, 116);
    assertThat(target.data()[target.offset(2) + chroma] & 255).isBetween(142, 143);
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void fillingCropsTheSameFromEitherSide(long seed) {
    Sizes sizes = Sizes.of(seed);
    PictureShape clip = PictureShape.of(sizes.source.width(), sizes.source.height());
    double film = (double) sizes.width / sizes.height;
    Region seen = Region.seenWhenFilling(clip, film);
    assertThat(seen.width() / seen.height()).isCloseTo(film, within(1e-9));
    assertThat(seen.x()).isCloseTo(clip.width() - seen.x() - seen.width(), within(1e-9));
    assertThat(seen.y()).isCloseTo(clip.height() - seen.y() - seen.height(), within(1e-9));
    assertThat(Math.min(seen.x(), seen.y())).isCloseTo(0, within(1e-9));
  }
}
