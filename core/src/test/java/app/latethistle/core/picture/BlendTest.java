package app.latethistle.core.picture;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class BlendTest {
  private static Frame random(Random random, int width, int height) {
    Frame frame = new Frame(width, height);
    random.nextBytes(frame.data());
    return frame;
  }

  private static int sample(Frame frame, int plane, int x, int y) {
    int width = plane == 0 ? frame.width() : frame.width() / 2;
    return frame.data()[frame.offset(plane) + y * width + x] & 0xff;
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void aMixIsTheWeightedMeanOfEverySample(long seed) {
    Random random = new Random(seed);
    Frame first = random(random, 16, 8);
    Frame second = random(random, 16, 8);
    Frame into = new Frame(16, 8);
    int weight = random.nextInt(257);
    Blend.mix(first, second, weight / 256.0, into);
    for (int i = 0; i < into.data().length; i++) {
      double mean =
          ((first.data()[i] & 0xff) * (256 - weight) + (second.data()[i] & 0xff) * weight) / 256.0;
      assertThat((double) (into.data()[i] & 0xff)).isEqualTo(Math.floor(mean + 0.5));
    }
  }

  @Test
  void noneOfItAndAllOfItAreTheFramesThemselves() {
    Random random = new Random(1);
    Frame first = random(random, 8, 8);
    Frame second = random(random, 8, 8);
    Frame into = new Frame(8, 8);
    Blend.mix(first, second, 0, into);
    assertThat(into.data()).isEqualTo(first.data());
    Blend.mix(first, second, 1, into);
    assertThat(into.data()).isEqualTo(second.data());
  }

  /** Laid at even places of a larger frame: every sample of the three planes, in it and beside. */
  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void aPasteChangesWhatLiesUnderItAndNothingElse(long seed) {
    Random random = new Random(seed);
    Frame under = random(random, 24, 20);
    Frame over = random(random, 2 + 2 * random.nextInt(6), 2 + 2 * random.nextInt(5));
    int x = 2 * random.nextInt((24 - over.width()) / 2 + 1);
    int y = 2 * random.nextInt((20 - over.height()) / 2 + 1);
    double opacity = random.nextInt(3) == 0 ? 1 : random.nextInt(256) / 256.0;
    Frame target = new Frame(24, 20, under.data().clone());
    Blend.paste(over, target, x, y, opacity);
    for (int plane = 0; plane < 3; plane++) {
      int part = plane == 0 ? 1 : 2;
      for (int v = 0; v < 20 / part; v++) {
        for (int u = 0; u < 24 / part; u++) {
          int column = u - x / part;
          int row = v - y / part;
          boolean in =
              column >= 0 && row >= 0 && column < over.width() / part && row < over.height() / part;
          int was = sample(under, plane, u, v);
          double expected =
              in ? was * (1 - opacity) + sample(over, plane, column, row) * opacity : was;
          assertThat((double) sample(target, plane, u, v))
              .as("plane %d at %d, %d", plane, u, v)
              .isEqualTo(Math.floor(expected + 0.5));
        }
      }
    }
  }
}
