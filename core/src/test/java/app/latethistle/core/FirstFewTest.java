package app.latethistle.core;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class FirstFewTest {
  private static final List<String> PARTS = List.of("a", "b", "c");

  @Test
  void tellsHowManyAreLeftWhereTheyAreMany() {
    assertThat(FirstFew.of(PARTS, 2, ", ")).isEqualTo("a, b, and 1 more");
    assertThat(FirstFew.of(PARTS, 1, "; ")).isEqualTo("a; and 2 more");
  }

  @Test
  void tellsAllWhereTheyAreFew() {
    assertThat(FirstFew.of(PARTS, 3, ", ")).isEqualTo("a, b, c");
    assertThat(FirstFew.of(List.of(), 3, ", ")).isEmpty();
  }
}
