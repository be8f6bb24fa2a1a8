package app.latethistle.core.sound;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SoundWordsTest {
  private static double score(String query, String name, String... more) {
    return SoundWords.of(query).score(name, List.of(more));
  }

  @ParameterizedTest
  @CsvSource({
    "door, 'door slams', rain, 'rain, soft'",
    "creaking doors, 'door creaks, slow', 'bell, small', door",
    "thunderr, 'thunder, far', splash, water",
    "wisper wnd whooosh, 'whoosh, long', 'boom, deep', hit",
    "tap on wood, 'knock, twice', 'glass rings', rim"
  })
  void theFirstFitsBetter(String query, String better, String worse, String more) {
    assertThat(score(query, better, "x")).isGreaterThan(score(query, worse, more));
  }

  @Test
  void aNameCountsMoreThanAWordBesideIt() {
    assertThat(score("bell", "bell, small")).isGreaterThan(score("bell", "buoy", "bell"));
  }

  @Test
  void whatHasNothingInCommonScoresNothing() {
    assertThat(score("carburettor", "rain, soft", "water")).isZero();
    assertThat(SoundWords.of("the sound of").isEmpty()).isTrue();
    // Short words have to be right: a mistake in them is another word.
    assertThat(score("bed", "bell, red", "bad")).isZero();
  }
}
