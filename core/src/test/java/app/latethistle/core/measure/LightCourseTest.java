package app.latethistle.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Light that is given to a scene whose camera is known, and what is measured of it. */
class LightCourseTest {
  private static final int FRAMES = 48;

  /** Of a stop, in hundredths. */
  private static final double CLOSE = 2;

  private static LightCourse course(IntFunction<byte[]> pictures) {
    LightCourse course = new LightCourse(Scene.WIDTH, Scene.HEIGHT);
    byte[] grey = new byte[Scene.WIDTH * Scene.HEIGHT / 4];
    Arrays.fill(grey, (byte) 128);
    for (int i = 0; i < FRAMES; i++) {
      course.add(pictures.apply(i), grey, grey);
    }
    return course;
  }

  /** Its signal multiplied; codes of limited range. */
  private static byte[] lit(byte[] plane, double factor) {
    byte[] lit = new byte[plane.length];
    for (int i = 0; i < lit.length; i++) {
      double signal = 0.2 + 0.5 * (plane[i] & 0xff) / 255.0;
      lit[i] = (byte) Math.round(16 + 219 * signal * factor);
    }
    return lit;
  }

  private static double factor(int frame) {
    return 1 - frame / 240.0 + 0.06 * Math.sin(frame / 2.0);
  }

  private static double[] given() {
    double[] stops =
        IntStream.range(0, FRAMES)
            .mapToDouble(i -> 240 * Math.log(factor(i)) / Math.log(2))
            .toArray();
    double[] sorted = stops.clone();
    Arrays.sort(sorted);
    return Arrays.stream(stops).map(s -> s - sorted[FRAMES / 2]).toArray();
  }

  @ParameterizedTest
  @ValueSource(doubles = {0, 0.004, 0.012})
  void findsTheLightWhileTheCameraGoesOn(double speed) {
    Scene scene = new Scene(7);
    List<Light> lights =
        course(i -> lit(scene.seen(new Travel(speed * i, 0, 1, 0)), factor(i))).lights();
    double[] given = given();
    for (int i = 0; i < FRAMES; i++) {
      assertThat((double) lights.get(i).red()).as("frame %d", i).isCloseTo(given[i], within(CLOSE));
      assertThat(lights.get(i).blue()).isEqualTo(lights.get(i).red());
    }
  }

  @Test
  void aThingThatComesInIsNotLight() {
    Scene scene = new Scene(3);
    List<Light> lights =
        course(
                i -> {
                  byte[] plane = lit(scene.seen(Travel.NONE), 1);
                  for (int y = 0; y < Scene.HEIGHT; y++) {
                    int to = y * Scene.WIDTH + Scene.WIDTH * i / (3 * FRAMES);
                    Arrays.fill(plane, y * Scene.WIDTH, to, (byte) 190);
                  }
                  return plane;
                })
            .lights();
    assertThat(lights).allMatch(light -> Math.abs(light.mean()) <= CLOSE);
  }

  @Test
  void anotherPictureBeginsAnew() {
    Scene one = new Scene(1);
    Scene other = new Scene(2);
    List<Light> lights =
        course(
                i -> {
                  Scene now = i < FRAMES / 2 ? one : other;
                  return lit(now.seen(Travel.NONE), i < FRAMES / 2 ? 1 : 0.6);
                })
            .lights();
    assertThat(lights).allMatch(light -> Math.abs(light.mean()) <= CLOSE);
  }

  @Test
  void tellsOfNothingInTheDark() {
    List<Light> lights =
        course(i -> lit(new byte[Scene.WIDTH * Scene.HEIGHT], 0.1 + i / 500.0)).lights();
    assertThat(lights).hasSize(FRAMES).containsOnly(Light.SAME);
    assertThat(new LightCourse(Scene.WIDTH, Scene.HEIGHT).lights()).isEmpty();
  }
}
