package app.latethistle.core.grade;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.look.Basics;
import app.latethistle.core.look.Correction;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.picture.Rgb;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Against the same computed in floating point from the frame's own codes. */
class GradeTableTest {
  private record Errors(double mean, double worst) {}

  @ParameterizedTest
  @CsvSource({
    "0, 0, 0, 0, 0",
    "60, 0, 0, 0, 0",
    "-80, 20, 0, 0, 0",
    "0, 30, 25, -10, 20",
    "30, -25, -40, 15, -40",
    "0, 0, 0, 0, -100"
  })
  void differsByLittleOnSmoothRamps(int exposure, int contrast, int warmth, int tint, int sat) {
    Grading grading = Grading.of(Correction.of(new Basics(exposure, contrast, warmth, tint, sat)));
    Frame ramps = ramps();

    Errors errors = errors(grading, ramps);

    assertThat(errors.mean()).isLessThan(0.5);
    assertThat(errors.worst()).isLessThanOrEqualTo(2);
  }

  @Test
  void drawsIntoItselfToo() {
    GradeTable table = GradeTable.of(Grading.of(Correction.of(new Basics(50, 10, 20, 0, 10))));
    Frame one = ramps();
    Frame other = new Frame(one.width(), one.height());
    table.draw(one, other);

    table.draw(one, one);

    assertThat(one.data()).isEqualTo(other.data());
  }

  /** From one colour to another as skies and walls have them, each row others. */
  private static Frame ramps() {
    int width = 512;
    int height = 64;
    Random random = new Random(7);
    int[] pixels = new int[width * height];
    for (int y = 0; y < height; y += 2) {
      double[] from = random.doubles(3, 30, 220).toArray();
      double[] to = random.doubles(3, -60, 60).toArray();
      for (int x = 0; x < width; x++) {
        int rgb = 0;
        for (int c = 0; c < 3; c++) {
          double value = from[c] + to[c] * x / width;
          rgb = rgb << 8 | (int) Math.max(8, Math.min(247, value));
        }
        pixels[y * width + x] = rgb;
        pixels[(y + 1) * width + x] = rgb;
      }
    }
    Frame frame = new Frame(width, height);
    Rgb.toFrame(pixels, frame);
    return frame;
  }

  private static Errors errors(Grading grading, Frame frame) {
    Frame drawn = new Frame(frame.width(), frame.height());
    GradeTable.of(grading).draw(frame, drawn);
    double sum = 0;
    double worst = 0;
    long count = 0;
    for (int y = 0; y < frame.height(); y += 2) {
      for (int x = 0; x < frame.width(); x += 2) {
        int chroma = y / 2 * (frame.width() / 2) + x / 2;
        int u = frame.data()[frame.offset(1) + chroma] & 0xff;
        int v = frame.data()[frame.offset(2) + chroma] & 0xff;
        double[] mean = new double[3];
        for (int k = 0; k < 4; k++) {
          int at = (y + k / 2) * frame.width() + x + k % 2;
          double[] out = exact(grading, frame.data()[at] & 0xff, u, v);
          double error = Math.abs((drawn.data()[at] & 0xff) - out[0]);
          sum += error;
          worst = Math.max(worst, error);
          count++;
          mean[1] += out[1] / 4;
          mean[2] += out[2] / 4;
        }
        for (int plane = 1; plane < 3; plane++) {
          double error =
              Math.abs((drawn.data()[frame.offset(plane) + chroma] & 0xff) - mean[plane]);
          sum += error;
          worst = Math.max(worst, error);
          count++;
        }
      }
    }
    return new Errors(sum / count, worst);
  }

  private static double[] exact(Grading grading, int y, int u, int v) {
    double luma = (y - 16) / 219.0;
    double blue = luma + 1.8556 * (u - 128) / 224;
    double red = luma + 1.5748 * (v - 128) / 224;
    double green = (luma - 0.2126 * red - 0.0722 * blue) / 0.7152;
    Signal out = grading.apply(new Signal(red, green, blue)).held();
    double l = out.luma();
    return new double[] {
      16 + 219 * l, 128 + 224 * (out.blue() - l) / 1.8556, 128 + 224 * (out.red() - l) / 1.5748
    };
  }
}
