package app.latethistle.core.caption;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.film.Narration.Word;
import app.latethistle.core.look.Shape;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.SampleRange;
import app.latethistle.core.time.Samples;
import app.latethistle.core.words.WordBreaks;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

class CaptionerTest {
  private static final FrameRate RATE = FrameRate.FPS_24;
  private static final Captioner CAPTIONER = new Captioner(CaptionRules.USUAL, RATE);
  private static final List<String> WORDS =
      List.of(
          "nobody",
          "remembers",
          "the",
          "year",
          "valley,",
          "filled.",
          "a",
          "lantern",
          "of",
          "snow",
          "we",
          "only",
          "kept",
          "41",
          "doors",
          "and",
          "post",
          "running.",
          "wind",
          "turned");

  /** A line spoken evenly. */
  private static SpokenLine line(String id, String text, double start, double wordsASecond) {
    List<Word> words = new ArrayList<>();
    double at = start;
    for (String word : text.split(" ")) {
      long from = Samples.ofSeconds(at);
      at += 1 / wordsASecond;
      words.add(new Word(word, new SampleRange(from, Samples.ofSeconds(at - 0.05))));
    }
    return SpokenLine.of(id, words);
  }

  private static List<SpokenLine> lines(Random random) {
    List<SpokenLine> lines = new ArrayList<>();
    double at = random.nextDouble();
    for (int i = 0; i < 1 + random.nextInt(4); i++) {
      int count = 1 + random.nextInt(30);
      String text =
          random.ints(count, 0, WORDS.size()).mapToObj(WORDS::get).collect(Collectors.joining(" "));
      double pace = 1.5 + 2 * random.nextDouble();
      lines.add(line("l" + i, text, at, pace));
      at += count / pace + 2 * random.nextDouble();
    }
    return lines;
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#many")
  void everyWordIsCaptionedOnceInOrderAndNothingStandsAtOnce(long seed) {
    Random random = new Random(seed);
    List<SpokenLine> lines = lines(random);
    List<Long> cuts = random.longs(6, 0, 600).sorted().boxed().toList();
    List<Caption> captions = CAPTIONER.twoLines(lines, cuts);
    String spoken =
        lines.stream()
            .flatMap(l -> l.words().stream())
            .map(Word::text)
            .collect(Collectors.joining(" "));
    assertThat(captions.stream().flatMap(c -> c.lines().stream()).collect(Collectors.joining(" ")))
        .isEqualTo(spoken);
    long end = Long.MIN_VALUE / 4;
    for (Caption c : captions) {
      assertThat(c.at().length()).isPositive();
      assertThat(c.lines()).hasSizeLessThanOrEqualTo(2);
      boolean apart = c.at().start() >= end + CaptionRules.USUAL.apart();
      assertThat(c.faults().contains(Caption.Fault.NOT_APART)).isEqualTo(!apart);
      boolean quick = c.perSecond(RATE) > CaptionRules.USUAL.mostPerSecond();
      assertThat(c.faults().contains(Caption.Fault.TOO_QUICK)).isEqualTo(quick);
      boolean long_ = c.lines().stream().anyMatch(l -> l.length() > 42);
      assertThat(c.faults().contains(Caption.Fault.LINE_TOO_LONG)).isEqualTo(long_);
      assertThat(c.words().get(0).at().start() / 2_000.0)
          .isBetween(c.at().start() - 0.51, c.at().start() + 0.51);
      end = c.at().end();
    }
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void unhurriedSpeechKeepsToAllRules(long seed) {
    Random random = new Random(seed);
    String text =
        random.ints(24, 0, WORDS.size()).mapToObj(WORDS::get).collect(Collectors.joining(" "))
            + " home";
    List<Caption> captions = CAPTIONER.twoLines(List.of(line("l", text, 1, 2.2)), List.of());
    assertThat(captions).allMatch(c -> c.faults().isEmpty(), "no faults");
    for (Caption c : captions) {
      assertThat(c.lines()).noneMatch(l -> l.endsWith(" the") || l.endsWith(" 41"));
    }
  }

  @Test
  void aSentenceIsNotBrokenWhereItNeedNotBe() {
    List<Caption> captions =
        CAPTIONER.twoLines(
            List.of(line("1", "We only kept the lanterns lit, and the post running.", 0, 2)),
            List.of());
    assertThat(captions).hasSize(1);
    assertThat(captions.get(0).lines())
        .containsExactly("We only kept the lanterns lit,", "and the post running.");
  }

  @Test
  void speechThatIsTooQuickIsTold() {
    List<Caption> captions =
        CAPTIONER.twoLines(
            List.of(
                line("1", "unbelievably extraordinarily complicated circumstances", 0, 7),
                line("2", "notwithstanding considerable difficulties", 0.58, 7)),
            List.of());
    assertThat(captions.get(0).faults()).contains(Caption.Fault.TOO_QUICK);
  }

  @Test
  void anEndThatWouldFallJustBesideACutFallsOnIt() {
    SpokenLine line = line("1", "Then let it go.", 1, 2);
    long end = CAPTIONER.twoLines(List.of(line), List.of()).get(0).at().end();
    List<Caption> cut = CAPTIONER.twoLines(List.of(line), List.of(end - 3));
    assertThat(cut.get(0).at().end()).isEqualTo(end - 3);
    assertThat(CAPTIONER.twoLines(List.of(line), List.of(end + 4)).get(0).at().end())
        .isEqualTo(end + 4);
  }

  @Test
  void smallGapsAreClosed() {
    List<Caption> captions =
        CAPTIONER.twoLines(
            List.of(line("1", "One night in winter", 0, 2), line("2", "the wind turned", 2.3, 2)),
            List.of());
    assertThat(captions.get(1).at().start() - captions.get(0).at().end())
        .isEqualTo(CaptionRules.USUAL.apart());
  }

  @Test
  void aFewWordsAtOnceAreThreeToFive() {
    List<Caption> captions =
        CAPTIONER.words(
            List.of(line("1", "We only kept the lanterns lit, and the post running.", 0, 2)),
            3,
            5,
            List.of());
    assertThat(captions).allMatch(c -> c.words().size() >= 3 && c.words().size() <= 5);
    List<Caption> single =
        CAPTIONER.words(List.of(line("1", "Then let it go.", 0, 2)), 1, 1, List.of());
    assertThat(single).hasSize(4);
  }

  /** Where no spaces are, lines are broken all the same, by letters that are twice as wide. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "谁也不记得山谷是哪一年被水淹没的，我们整夜只点着灯笼，等着夜里的邮差从雪地上走过来敲两下门。",
        "谷が水に沈んだのが何年だったのか、誰も覚えていない。私たちは一晩中、提灯だけを灯していた。",
        "ไม่มีใครจำได้ว่าหุบเขาจมน้ำในปีใด เราจุดแต่โคมไฟไว้ตลอดทั้งคืนเพื่อรอบุรุษไปรษณีย์ยามค่ำคืน"
      })
  void textsWithoutSpacesAreBroken(String text) {
    SpokenLine read = line("1", "nobody remembers the year the valley was flooded here", 0, 0.8);
    SpokenLine told = SpokenLine.of("1", Retimed.words(text, read.words()));
    List<Caption> captions = CAPTIONER.twoLines(List.of(told), List.of());
    List<String> lines = captions.stream().flatMap(c -> c.lines().stream()).toList();
    assertThat(lines).hasSizeGreaterThan(1);
    assertThat(lines).allMatch(line -> WordBreaks.columns(line) <= 42);
    assertThat(String.join("", lines).replace(" ", "")).isEqualTo(text.replace(" ", ""));
    assertThat(lines).noneMatch(line -> "，。、".indexOf(line.charAt(0)) >= 0);
  }

  @Test
  void uprightShapesHaveShorterLines() {
    assertThat(CaptionRules.USUAL.in(Shape.of(16, 9)).letters()).isEqualTo(42);
    assertThat(CaptionRules.USUAL.in(Shape.of(9, 16)).letters()).isEqualTo(24);
    assertThat(CaptionRules.USUAL.in(Shape.of(21, 9)).letters()).isEqualTo(42);
  }

  @Test
  void anotherTextTakesTheTimesOfTheWordsItShares() {
    SpokenLine read = line("1", "then let it go", 0, 1);
    List<Word> words = Retimed.words("Then, please, let it GO!", read.words());
    assertThat(words)
        .extracting(Word::text)
        .containsExactly("Then,", "please,", "let", "it", "GO!");
    assertThat(words.get(0).at()).isEqualTo(read.words().get(0).at());
    assertThat(words.get(2).at()).isEqualTo(read.words().get(1).at());
    assertThat(words.get(1).at().start()).isEqualTo(words.get(0).at().end());
    assertThat(words.get(4).at()).isEqualTo(read.words().get(3).at());
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void aTranslationLiesInTheTimeOfItsLine(long seed) {
    Random random = new Random(seed);
    SpokenLine read = lines(random).get(0);
    List<Word> words = Retimed.words("wir hielten nur die Laternen am Brennen", read.words());
    long end = read.words().get(read.words().size() - 1).at().end();
    assertThat(words.get(0).at().start()).isEqualTo(read.words().get(0).at().start());
    assertThat(words.get(words.size() - 1).at().end()).isEqualTo(end);
    for (int i = 1; i < words.size(); i++) {
      assertThat(words.get(i).at().start()).isGreaterThanOrEqualTo(words.get(i - 1).at().end());
    }
  }
}
