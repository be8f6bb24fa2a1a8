package app.latethistle.core.caption;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The best breaking, held against all breakings of short texts. */
class LineBreaksTest {
  private static final List<String> WORDS =
      List.of("the", "lantern,", "of", "a", "night", "Post.", "valley", "we", "only", "kept", "12");

  private static LineBreaks breaks(List<String> words, int most) {
    return new LineBreaks(
        words.size(),
        most,
        (start, end) -> String.join(" ", words.subList(start, end)).length(),
        end -> Sense.badness(words.get(end - 1), words.get(end)));
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#many")
  void noOtherBreakingCostsLess(long seed) {
    Random random = new Random(seed);
    List<String> words = new ArrayList<>();
    int count = 1 + random.nextInt(9);
    for (int i = 0; i < count; i++) {
      words.add(WORDS.get(random.nextInt(WORDS.size())));
    }
    LineBreaks breaks = breaks(words, 8 + random.nextInt(30));
    int lines = 1 + random.nextInt(Math.min(4, count));
    double least = Double.POSITIVE_INFINITY;
    for (int set = 0; set < 1 << (count - 1); set++) {
      if (Integer.bitCount(set) == lines - 1) {
        List<Integer> starts = new ArrayList<>(List.of(0));
        for (int i = 1; i < count; i++) {
          if ((set >> (i - 1) & 1) != 0) {
            starts.add(i);
          }
        }
        least = Math.min(least, breaks.cost(starts));
      }
    }
    assertThat(breaks.cost(breaks.into(lines))).isCloseTo(least, within(1e-9));
  }

  @Test
  void theFewestLinesAreTakenThatHold() {
    List<String> words = List.of("We", "only", "kept", "the", "lanterns", "lit,", "and", "sang");
    assertThat(breaks(words, 60).fewest(2)).containsExactly(0);
    assertThat(breaks(words, 24).fewest(2)).containsExactly(0, 4);
  }

  @Test
  void anArticleStaysWithItsNounANumberWithItsUnitANameTogether() {
    assertThat(Sense.badness("the", "lake")).isEqualTo(Sense.NEVER);
    assertThat(Sense.badness("eine", "Tür")).isEqualTo(Sense.NEVER);
    assertThat(Sense.badness("41", "letters")).isEqualTo(Sense.NEVER);
    assertThat(Sense.badness("Maren", "Vell")).isEqualTo(Sense.NEVER);
    assertThat(Sense.badness("lit,", "and")).isEqualTo(Sense.PHRASE);
    assertThat(Sense.badness("go.”", "Then")).isEqualTo(Sense.SENTENCE);
    assertThat(Sense.badness("wind", "turned")).isEqualTo(Sense.PLAIN);
  }
}
