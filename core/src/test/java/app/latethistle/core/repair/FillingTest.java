package app.latethistle.core.repair;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.latethistle.core.Refused;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.take.Box;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class FillingTest {
  private static final Hole MARK = new Hole(384, 226, 72, 28);

  private static List<Frame> filled(PaintedScene scene) throws IOException {
    List<Frame> all = new ArrayList<>();
    Filling.fill(
        scene,
        MARK,
        (number, frame) -> {
          Frame kept = new Frame(frame.width(), frame.height());
          kept.copy(frame);
          all.add(kept);
        },
        share -> {});
    return all;
  }

  /** Peak signal to noise in the hole's luma, in decibels. */
  static double psnr(Frame made, Frame real) {
    double squares = 0;
    for (int y = MARK.y(); y < MARK.y() + MARK.height(); y++) {
      for (int x = MARK.x(); x < MARK.x() + MARK.width(); x++) {
        int at = y * made.width() + x;
        double off = (made.data()[at] & 0xff) - (real.data()[at] & 0xff);
        squares += off * off;
      }
    }
    double mean = squares / (MARK.width() * MARK.height());
    return 10 * Math.log10(255 * 255 / Math.max(mean, 1e-3));
  }

  /** The mean change of luma from one picture to the next in a part of it, in codes. */
  private static double change(List<Frame> frames, Hole part) {
    double sum = 0;
    for (int i = 1; i < frames.size(); i++) {
      Frame now = frames.get(i);
      for (int y = part.y(); y < part.y() + part.height(); y++) {
        for (int x = part.x(); x < part.x() + part.width(); x++) {
          int at = y * now.width() + x;
          sum += Math.abs((now.data()[at] & 0xff) - (frames.get(i - 1).data()[at] & 0xff));
        }
      }
    }
    return sum / (frames.size() - 1) / (part.width() * part.height());
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3})
  void whatOtherMomentsShowIsPutBack(long seed) throws IOException {
    PaintedScene scene = new PaintedScene(seed, 40, 2.7, 0.3, MARK, 1);
    List<Frame> made = filled(scene);
    PaintedScene real = scene.without();
    for (int i = 0; i < made.size(); i += 6) {
      assertThat(psnr(made.get(i), real.frame(i))).as("frame %d", i).isGreaterThan(36);
      assertThat(psnr(made.get(i), real.frame(i)) - psnr(scene.frame(i), real.frame(i)))
          .as("better than the mark was")
          .isGreaterThan(20);
    }
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3})
  void aStandingPictureDoesNotShimmer(long seed) throws IOException {
    PaintedScene scene = new PaintedScene(seed, 12, 0, 0, MARK, 1.5);
    List<Frame> made = filled(scene);
    Hole beside = new Hole(MARK.x() - MARK.width(), MARK.y(), MARK.width(), MARK.height());
    assertThat(change(made, MARK)).isLessThanOrEqualTo(change(made, beside));
    for (int i = 0; i < made.size(); i += 5) {
      assertThat(psnr(made.get(i), scene.without().frame(i))).as("frame %d", i).isGreaterThan(22);
    }
  }

  @Test
  void nothingBesideTheHoleChanges() throws IOException {
    PaintedScene scene = new PaintedScene(4, 8, 1.5, 0, MARK, 1);
    List<Frame> made = filled(scene);
    for (int i = 0; i < made.size(); i++) {
      Frame before = scene.frame(i);
      Frame after = made.get(i);
      for (int at = 0; at < PaintedScene.WIDE * PaintedScene.HIGH; at++) {
        int x = at % PaintedScene.WIDE;
        int y = at / PaintedScene.WIDE;
        boolean inside =
            x >= MARK.x()
                && y >= MARK.y()
                && x < MARK.x() + MARK.width()
                && y < MARK.y() + MARK.height();
        if (!inside) {
          assertThat(after.data()[at]).isEqualTo(before.data()[at]);
        }
      }
    }
  }

  @Test
  void aHoleReachesToTheEdgeOfThePictureAndNoFurther() {
    Hole corner = Hole.of(new Box(0.9, 0.9, 1, 1), 1281 / 2 * 2, 720);
    assertThat(corner.x() + corner.width()).isEqualTo(1280);
    assertThat(corner.y() + corner.height()).isEqualTo(720);
    assertThat(corner.x() % 2 + corner.y() % 2 + corner.width() % 2 + corner.height() % 2).isZero();
    assertThatThrownBy(() -> Hole.of(new Box(0.1, 0.1, 0.7, 0.3), 1280, 720))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("more than half");
  }
}
