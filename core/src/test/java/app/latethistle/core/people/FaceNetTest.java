package app.latethistle.core.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * The network against the implementation it is published with: what {@code
 * nets.tinyFaceDetector.forwardInput} of the npm package @vladmandic/face-api 1.7.15 answers to the
 * same picture, on TensorFlow.js 4.22 in Node.
 */
class FaceNetTest {
  private static final Planes ANSWERS = FaceNet.shipped().of(pattern());

  private static int[] pattern() {
    int[] rgb = new int[FaceNet.SIDE * FaceNet.SIDE];
    for (int i = 0; i < rgb.length; i++) {
      int x = i % FaceNet.SIDE;
      int y = i / FaceNet.SIDE;
      int red = (3 * x + y) % 256;
      int green = ((x * y) >> 6) % 256;
      int blue = (5 * y + (x >> 1)) % 256;
      rgb[i] = (red << 16) | (green << 8) | blue;
    }
    return rgb;
  }

  @ParameterizedTest
  @CsvSource({
    "0, 0, 0, 1.5982681512832642",
    "0, 0, 4, -8.54854965209961",
    "7, 3, 9, -32.381553649902344",
    "6, 6, 12, 0.18933513760566711",
    "6, 6, 14, -12.536888122558594",
    "12, 12, 24, -20.84535789489746",
    "0, 12, 20, -0.6339288949966431",
    "12, 0, 3, -0.45443910360336304"
  })
  void answersAsThePublishedOne(int x, int y, int number, double published) {
    assertThat((double) ANSWERS.data[(y * ANSWERS.width + x) * ANSWERS.channels + number])
        .isCloseTo(published, offset(1e-3));
  }

  @Test
  void answersAsThePublishedOneAllOver() {
    assertThat(ANSWERS.width).isEqualTo(13);
    assertThat(ANSWERS.height).isEqualTo(13);
    assertThat(ANSWERS.channels).isEqualTo(25);
    double squares = 0;
    for (float answer : ANSWERS.data) {
      squares += answer * answer;
    }
    assertThat(Math.sqrt(squares / ANSWERS.data.length))
        .isCloseTo(10.265408501996546, offset(1e-3));
  }
}
