package app.latethistle.core.grade;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.look.Basics;
import app.latethistle.core.look.Correction;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** On painted pictures; {@code ./bench match} does it with photographs. */
class MatchTest {
  private static final int WIDTH = 480;
  private static final int HEIGHT = 270;

  @ParameterizedTest
  @ValueSource(ints = {1, 2, 3, 4, 5, 6})
  void bringsAPartOfTheSamePictureBackToWhatItWas(int seed) {
    Painted painted = new Painted(seed);
    ColourPicture key = painted.part(0, 0, 400, 240);
    ColourPicture plain = painted.part(70, 25, 400, 240);
    Random random = new Random(seed);
    Grading altering =
        Grading.of(
            Correction.of(
                new Basics(
                    random.nextInt(-90, 91),
                    random.nextInt(-35, 36),
                    random.nextInt(-30, 31),
                    random.nextInt(-20, 21),
                    random.nextInt(-40, 41))));
    ColourPicture altered = plain.graded(altering);

    Match match = Match.between(List.of(key), List.of(altered));

    assertThat(match.by()).isEqualTo(Match.By.PLACES);
    assertThat(distance(altered.graded(Grading.of(match.correction())), plain))
        .isLessThan(0.45 * distance(altered, plain));
  }

  @ParameterizedTest
  @ValueSource(ints = {1, 2, 3})
  void leavesAlmostAloneWhatShowsOtherThings(int seed) {
    ColourPicture key = new Painted(seed).part(0, 0, 400, 240);
    ColourPicture shot = new Painted(seed + 100).part(0, 0, 400, 240);

    Match match = Match.between(List.of(key), List.of(shot));

    assertThat(match.by()).isEqualTo(Match.By.WHOLE);
    assertThat(distance(shot.graded(Grading.of(match.correction())), shot)).isLessThan(4);
  }

  /** As two doors may be that differ by their paint alone. */
  @ParameterizedTest
  @ValueSource(ints = {1, 2, 3, 4})
  void doesNotPaintOverWhatHasOneShapeAndOtherColours(int seed) {
    Painted painted = new Painted(seed);
    ColourPicture key = painted.part(0, 0, 400, 240);
    ColourPicture red = painted.part(20, 10, 400, 240);
    int[] turned = new int[red.count()];
    for (int i = 0; i < turned.length; i++) {
      int rgb = red.at(i);
      turned[i] = (rgb & 0xff) << 16 | (rgb >> 16 & 0xff) << 8 | (rgb >> 8 & 0xff);
    }
    ColourPicture shot = new ColourPicture(red.width(), red.height(), turned);

    Match match = Match.between(List.of(key), List.of(shot));

    assertThat(match.by()).isEqualTo(Match.By.WHOLE);
    assertThat(distance(shot.graded(Grading.of(match.correction())), shot)).isLessThan(4);
  }

  @Test
  void aPictureMatchesItself() {
    ColourPicture picture = new Painted(9).part(0, 0, 400, 240);

    Match match = Match.between(List.of(picture), List.of(picture));

    assertThat(distance(picture.graded(Grading.of(match.correction())), picture)).isLessThan(0.3);
  }

  @Test
  void aPlainPictureAgainstAPlainPictureMovesTowardsIt() {
    ColourPicture dark = plain(0x303030);
    ColourPicture light = plain(0x404040);

    Basics five = Match.between(List.of(light), List.of(dark)).correction().basics();

    assertThat(five.exposure()).isGreaterThan(0);
    assertThat(five.warmth()).isBetween(-2, 2);
  }

  private static ColourPicture plain(int rgb) {
    int[] pixels = new int[64 * 36];
    Arrays.fill(pixels, rgb);
    return new ColourPicture(64, 36, pixels);
  }

  private static double distance(ColourPicture one, ColourPicture other) {
    double sum = 0;
    int n = 0;
    for (int i = 0; i < one.count(); i += 7, n++) {
      sum += Ciede2000.between(Lab.of(Signal.of(one.at(i))), Lab.of(Signal.of(other.at(i))));
    }
    return sum / n;
  }

  /** A sky and ground with some things before them. */
  private static final class Painted {
    private final int[] rgb = new int[WIDTH * HEIGHT];

    Painted(int seed) {
      Random random = new Random(seed);
      int sky = colour(random);
      int ground = colour(random);
      for (int y = 0; y < HEIGHT; y++) {
        for (int x = 0; x < WIDTH; x++) {
          rgb[y * WIDTH + x] = mixed(sky, ground, y / (double) HEIGHT);
        }
      }
      for (int i = 0; i < 90; i++) {
        thing(random);
      }
    }

    private static int colour(Random random) {
      return (40 + random.nextInt(170)) << 16
          | (40 + random.nextInt(170)) << 8
          | (40 + random.nextInt(170));
    }

    private static int mixed(int one, int other, double part) {
      int mixed = 0;
      for (int shift = 16; shift >= 0; shift -= 8) {
        double v = (one >> shift & 0xff) * (1 - part) + (other >> shift & 0xff) * part;
        mixed |= (int) v << shift;
      }
      return mixed;
    }

    private void thing(Random random) {
      int colour = colour(random);
      int left = random.nextInt(WIDTH);
      int top = random.nextInt(HEIGHT);
      int wide = 6 + random.nextInt(50);
      int high = 6 + random.nextInt(40);
      boolean round = random.nextBoolean();
      for (int y = top; y < Math.min(HEIGHT, top + high); y++) {
        for (int x = left; x < Math.min(WIDTH, left + wide); x++) {
          double dx = 2.0 * (x - left) / wide - 1;
          double dy = 2.0 * (y - top) / high - 1;
          if (!round || dx * dx + dy * dy < 1) {
            rgb[y * WIDTH + x] = colour;
          }
        }
      }
    }

    ColourPicture part(int left, int top, int width, int height) {
      int[] part = new int[width * height];
      for (int y = 0; y < height; y++) {
        System.arraycopy(rgb, (top + y) * WIDTH + left, part, y * width, width);
      }
      return new ColourPicture(width, height, part);
    }
  }
}
