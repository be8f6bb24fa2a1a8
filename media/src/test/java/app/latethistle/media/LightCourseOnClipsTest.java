package app.latethistle.media;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.measure.Light;
import app.latethistle.core.measure.LightCourse;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * The light that is measured through clips of the demo against the light that ffmpeg gave them: its
 * signals multiplied by a number that is known in each frame, another for red and for blue.
 */
class LightCourseOnClipsTest {
  private static final int WIDE = 320;
  private static final int HIGH = 180;
  private static final int FRAMES = 72;

  /** It drifts down by a fifth and pumps by a tenth; blue drifts by a fourteenth more. */
  private static final String PUMPED =
      ",format=gbrp,geq=r='r(X,Y)*(0.9-N/360+0.05*sin(N/3))':"
          + "g='g(X,Y)*(0.9-N/360+0.05*sin(N/3))':"
          + "b='b(X,Y)*(0.9-N/360+0.05*sin(N/3)-N/1000)'";

  private static List<Light> measured(String clip, String filter) throws IOException {
    Path file;
    try (Stream<Path> demo = Files.list(Path.of("..", "demo"))) {
      file =
          demo.filter(p -> p.getFileName().toString().startsWith(clip)).findFirst().orElseThrow();
    }
    byte[] all =
        Ffmpeg.run(
            "-ss",
            "1",
            "-i",
            file.toString(),
            "-vf",
            "scale=320:180" + filter + ",format=yuv420p",
            "-frames:v",
            Integer.toString(FRAMES),
            "-f",
            "rawvideo",
            "pipe:1");
    int luma = WIDE * HIGH;
    int size = luma * 3 / 2;
    LightCourse course = new LightCourse(WIDE, HIGH);
    for (int at = 0; at + size <= all.length; at += size) {
      course.add(
          Arrays.copyOfRange(all, at, at + luma),
          Arrays.copyOfRange(all, at + luma, at + luma * 5 / 4),
          Arrays.copyOfRange(all, at + luma * 5 / 4, at + size));
    }
    return course.lights();
  }

  /** The greatest distance between two courses, each against its own middle; in stops. */
  private static double apart(double[] one, double[] other) {
    double[] off = new double[one.length];
    for (int i = 0; i < off.length; i++) {
      off[i] = one[i] - other[i];
    }
    double[] sorted = off.clone();
    Arrays.sort(sorted);
    double middle = sorted[sorted.length / 2];
    return Arrays.stream(off).map(o -> Math.abs(o - middle)).max().orElseThrow() / 100;
  }

  private static double[] given(double blue) {
    return IntStream.range(0, FRAMES)
        .mapToDouble(n -> 0.9 - n / 360.0 + 0.05 * Math.sin(n / 3.0) - blue * n / 1000)
        .map(factor -> 240 * Math.log(factor) / Math.log(2))
        .toArray();
  }

  /** Clips whose own light hardly changes; nothing was chosen by them. */
  @ParameterizedTest
  @ValueSource(strings = {"shot_010", "shot_060", "shot_090"})
  void findsTheLightThatWasGiven(String clip) throws IOException {
    List<Light> own = measured(clip, "");
    assertThat(own).hasSize(FRAMES);
    assertThat(apart(own.stream().mapToDouble(Light::green).toArray(), new double[FRAMES]))
        .as("stops, as it came")
        .isLessThan(0.05);
    List<Light> pumped = measured(clip, PUMPED);
    double red = apart(pumped.stream().mapToDouble(Light::red).toArray(), given(0));
    double blue = apart(pumped.stream().mapToDouble(Light::blue).toArray(), given(1));
    System.out.printf("%s: red within %.3f stops, blue within %.3f%n", clip, red, blue);
    assertThat(red).isLessThan(0.1);
    assertThat(blue).isLessThan(0.1);
  }
}
