package app.latethistle.core.subject;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.Seeds;
import java.util.Random;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class SilhouetteTest {
  private static final int WIDE = 17;
  private static final int HIGH = 11;

  static LongStream seeds() {
    return Seeds.few();
  }

  /** Distances held against the nearest of all pixels of the other side. */
  @ParameterizedTest
  @MethodSource("seeds")
  void itIsAsDeepAsTheNearestPixelOfTheOtherSideIsFar(long seed) {
    Random random = new Random(seed);
    boolean[] in = new boolean[WIDE * HIGH];
    for (int i = 0; i < in.length; i++) {
      in[i] = random.nextInt(4) == 0;
    }
    in[0] = true;
    in[1] = false;
    float[] depth = Silhouette.of(WIDE, HIGH, i -> in[i]).depth();
    for (int i = 0; i < in.length; i++) {
      double nearest = Double.MAX_VALUE;
      for (int j = 0; j < in.length; j++) {
        if (in[j] != in[i]) {
          nearest = Math.min(nearest, Math.hypot(i % WIDE - j % WIDE, i / WIDE - j / WIDE));
        }
      }
      double expected = in[i] ? nearest - 0.5 : 0.5 - nearest;
      assertThat((double) depth[i]).isEqualTo(expected, within(1e-4));
    }
  }

  @Test
  void onlyPiecesWithAWantedPixelAreKept() {
    String drawn = "##..#" + "#...#" + "...##";
    Silhouette both = Silhouette.of(5, 3, i -> drawn.charAt(i) == '#');

    Silhouette right = both.pieces(i -> i == 9);

    assertThat(right).isEqualTo(Silhouette.of(5, 3, i -> i == 4 || i == 9 || i == 13 || i == 14));
    assertThat(both.pieces(i -> false).count()).isZero();
    assertThat(right.overlap(both)).isEqualTo(4 / 7.0);
  }

  @Test
  void whatGoesOutOfThePictureDoesNotEndThere() {
    Silhouette low = Silhouette.of(6, 6, i -> i >= 18);
    assertThat(low.depth()[35]).isEqualTo(2.5f);
    assertThat(low.has(3, 40)).isTrue();
    assertThat(Silhouette.of(4, 4, i -> true).depth()[5]).isGreaterThan(4);
  }
}
