package app.latethistle.core.grade;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Against the 34 pairs of Sharma, Wu and Dalal 2005, given to four decimals. */
class Ciede2000Test {
  static Stream<String> pairs() throws IOException {
    try (InputStream in = Ciede2000Test.class.getResourceAsStream("ciede2000_34.csv")) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8)
          .lines().skip(1).toList().stream();
    }
  }

  @ParameterizedTest
  @MethodSource("pairs")
  void differsAsPublishedBothWaysRound(String line) {
    double[] n = Stream.of(line.split(",")).mapToDouble(Double::parseDouble).toArray();
    Lab one = new Lab(n[1], n[2], n[3]);
    Lab other = new Lab(n[4], n[5], n[6]);

    assertThat(Ciede2000.between(one, other)).isCloseTo(n[7], within(0.0001));
    assertThat(Ciede2000.between(other, one)).isCloseTo(n[7], within(0.0001));
  }
}
