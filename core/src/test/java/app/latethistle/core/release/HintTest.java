package app.latethistle.core.release;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Questions are raised by whole words, each once, and by nothing else. */
class HintTest {
  @Test
  void wordsRaiseTheirQuestions() {
    List<Hint> hints =
        Hint.of(
            Stream.of(
                "The boy finds a knife.",
                "A Knife, another child, and the boy again.",
                "Blood on the snow"));
    assertThat(hints)
        .containsExactly(
            new Hint(Hint.About.CHILDREN, List.of("boy", "child")),
            new Hint(Hint.About.VIOLENCE, List.of("knife", "blood")));
    assertThat(hints.get(0).about().question()).endsWith("Most places ask that it is said.");
  }

  @Test
  void otherWordsRaiseNone() {
    assertThat(Hint.of(Stream.of("A childish buoy, a girlish skiff; the gunwale, a shot of snow")))
        .isEmpty();
    assertThat(Hint.of(Stream.empty())).isEmpty();
  }

  @Test
  void noMoreThanSixWordsAreTold() {
    List<Hint> hints = Hint.of(Stream.of("gun guns rifle pistol knife bomb corpse weapon"));
    assertThat(hints).singleElement().satisfies(h -> assertThat(h.because()).hasSize(6));
  }
}
