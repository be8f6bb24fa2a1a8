package app.latethistle.core.words;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class WordBreaksTest {
  private static List<String> seen(String text) {
    return WordBreaks.of(text).stream().map(WordBreaks::seen).toList();
  }

  @Test
  void spacesAreBetweenWords() {
    assertThat(WordBreaks.of("  nobody  remembers\nthe year. "))
        .containsExactly("nobody", "remembers", "the", "year.");
    assertThat(WordBreaks.of(" ")).isEmpty();
    assertThat(WordBreaks.of("a \u200b \u200bb")).containsExactly("a", "b");
    assertThat(WordBreaks.of("밤의 우편")).containsExactly("밤의", "우편");
  }

  @Test
  void chineseIsBrokenBetweenLettersAndNotBeforeAStop() {
    assertThat(seen("灯还亮着。")).containsExactly("灯", "还", "亮", "着。");
  }

  @Test
  void japaneseIsBrokenBeforeWhatBeginsAPhrase() {
    assertThat(seen("私たちは提灯だけを灯していた。ランプの光"))
        .containsExactly("私たちは", "提灯だけを", "灯していた。", "ランプの", "光");
  }

  @Test
  void thaiIsBrokenByItsWords() {
    assertThat(seen("ตลอดทั้งคืน ครับ")).containsExactly("ตลอด", "ทั้ง", "คืน", "ครับ");
  }

  @Test
  void aWordSaysThatNoSpaceFollowsIt() {
    assertThat(WordBreaks.of("雪 and 灯还"))
        .containsExactly("雪", "and", "灯" + WordBreaks.NO_SPACE, "还");
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void wordsMakeTheirTextAgain(long seed) {
    Random random = new Random(seed);
    List<String> some =
        List.of("lantern", "灯笼", "私たちは", "ตลอดคืน", "우편", "41", "。", "“a”", "ランプ", "🎈");
    StringBuilder text = new StringBuilder();
    for (int i = 0; i < 12; i++) {
      text.append(some.get(random.nextInt(some.size()))).append(random.nextBoolean() ? " " : "");
    }
    String written = text.toString().strip();
    assertThat(WordBreaks.joined(WordBreaks.of(written))).isEqualTo(written);
    assertThat(WordBreaks.of(WordBreaks.marked(WordBreaks.of(written))))
        .isEqualTo(WordBreaks.of(written));
  }

  /** Wide and narrow after Unicode's EastAsianWidth.txt (UAX #11): W and F are two. */
  @ParameterizedTest
  @CsvSource({"abc, 3", "夜の郵便, 8", "ｱｲ, 2", "。」, 4", "우편, 4", "Ａ, 2", "夜 a, 4", "“é”, 3"})
  void wideLettersCountAsTwo(String text, int columns) {
    assertThat(WordBreaks.columns(text)).isEqualTo(columns);
  }
}
