package app.latethistle.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.look.FramingPath;
import app.latethistle.core.look.Window;
import app.latethistle.core.measure.CameraTravel;
import app.latethistle.core.measure.Travel;
import app.latethistle.core.take.PictureShape;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class SteadyPathTest {
  private static final PictureShape CLIP = PictureShape.of(1280, 720);
  private static final double WIDE = 16.0 / 9;
  private static final int FRAMES = 72;

  /** A hand that shakes, over a slow pan of a part of a width a frame. */
  private static List<Travel> shaken(double pan) {
    Random random = new Random(7);
    List<Travel> travels = new ArrayList<>();
    for (int k = 0; k < FRAMES; k++) {
      travels.add(
          new Travel(
              pan * k + 0.008 * random.nextGaussian(),
              0.006 * random.nextGaussian(),
              1,
              0.3 * random.nextGaussian()));
    }
    return travels;
  }

  private static Window seen(FramingPath path, int k) {
    return path.at((k + 0.5) / FRAMES, CLIP, WIDE);
  }

  /** Where in the window the thing is that stood in the take's middle at the first frame. */
  private static double place(FramingPath path, List<Travel> travels, int k) {
    Window window = seen(path, k);
    return (CLIP.width() * (0.5 + travels.get(k).right()) - window.x()) / window.width();
  }

  @Test
  void whatIsFilmedStandsStillInALockedShot() {
    List<Travel> travels = shaken(0);
    FramingPath path =
        SteadyPath.of(travels, SteadyPath.Manner.LOCKED, 24, CLIP, WIDE).orElseThrow();
    double first = place(path, travels, 0);
    for (int k = 0; k < FRAMES; k++) {
      // A ten-thousandth of a width and a thousandth of the time are what a path can say.
      assertThat(place(path, travels, k)).isCloseTo(first, within(0.0012));
      assertThat(Math.toDegrees(seen(path, k).turn()) - travels.get(k).turn())
          .isCloseTo(-travels.get(FRAMES / 2).turn(), within(0.06));
    }
  }

  /** The shake goes and the pan stays: what is filmed moves as evenly as the camera meant it to. */
  @Test
  void aPanStaysSmooth() {
    List<Travel> travels = shaken(0.002);
    FramingPath path =
        SteadyPath.of(travels, SteadyPath.Manner.SMOOTHED, 24, CLIP, WIDE).orElseThrow();
    double rough = 0;
    double smooth = 0;
    for (int k = 12; k + 13 < FRAMES; k++) {
      double step = travels.get(k + 1).right() - travels.get(k).right();
      rough += Math.abs(step - 0.002);
      double shown = place(path, travels, k + 1) - place(path, travels, k);
      smooth += Math.abs(shown * seen(path, k).width() / CLIP.width() - 0.002);
    }
    assertThat(smooth).isLessThan(0.15 * rough);
  }

  @ParameterizedTest
  @EnumSource(SteadyPath.Manner.class)
  void noEdgeIsBareAndNoMoreIsCroppedThanNeeded(SteadyPath.Manner manner) {
    FramingPath path = SteadyPath.of(shaken(0), manner, 24, CLIP, WIDE).orElseThrow();
    int size = path.first().size();
    assertThat(size).isBetween(1020, 1150);
    for (FramingPath.Point point : path.points()) {
      assertThat(point.view().within(CLIP, WIDE).size())
          .isLessThanOrEqualTo(point.view().size() + 1);
    }
  }

  @Test
  void whatMovesTooFarIsNotLocked() {
    List<Travel> far = shaken(0.02);
    assertThat(SteadyPath.of(far, SteadyPath.Manner.LOCKED, 24, CLIP, WIDE)).isEmpty();
    assertThat(SteadyPath.of(far.subList(0, 1), SteadyPath.Manner.LOCKED, 24, CLIP, WIDE))
        .isEmpty();
  }

  /** The camera's travel is followed in pictures that are moved by known steps. */
  @Test
  void theTravelIsFoundInThePictures() {
    CameraTravel camera = new CameraTravel(320, 180);
    int[] rights = {0, 3, 1, -4, 6, 2};
    for (int right : rights) {
      byte[] luma = new byte[320 * 180];
      for (int y = 0; y < 180; y++) {
        for (int x = 0; x < 320; x++) {
          double u = x - right;
          luma[y * 320 + x] =
              (byte)
                  (120
                      + 50 * Math.sin(u / 9) * Math.cos(y / 7.0)
                      + 40 * Math.sin((u + 2 * y) / 23));
        }
      }
      camera.add(luma);
    }
    List<Travel> found = camera.fromFirst();
    for (int i = 0; i < rights.length; i++) {
      assertThat(320 * found.get(i).right()).isCloseTo(rights[i], within(0.15));
    }
  }
}
