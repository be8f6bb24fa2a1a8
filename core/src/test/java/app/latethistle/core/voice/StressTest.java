package app.latethistle.core.voice;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class StressTest {
  @ParameterizedTest
  @CsvSource({
    "the, false",
    "The, false",
    "of, false",
    "'\u201cit,\u201d', false",
    "lantern, true",
    "Lantern., true",
    "rowed, true",
    "THERE, false",
    "theremin, true"
  })
  void functionWordsCarryNone(String word, boolean stressed) {
    assertThat(Stress.isOn(word)).isEqualTo(stressed);
  }
}
