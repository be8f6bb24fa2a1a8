package app.latethistle.core.work;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class AllCoresTest {
  private final List<Integer> numbers = IntStream.range(0, 1_000).boxed().toList();

  @Test
  void whatComesOfThemIsInTheirOrder() throws IOException {
    assertThat(AllCores.of(numbers, n -> 2 * n))
        .isEqualTo(numbers.stream().map(n -> 2 * n).toList());
  }

  @Test
  void whatATaskThrowsIsThrownAsItIs() {
    IOException thrown = new IOException("the disk is full");
    assertThatThrownBy(
            () ->
                AllCores.of(
                    numbers,
                    n -> {
                      if (n == 700) {
                        throw thrown;
                      }
                      return n;
                    }))
        .isSameAs(thrown);
  }
}
