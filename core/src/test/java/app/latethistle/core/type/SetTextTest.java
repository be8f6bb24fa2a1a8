package app.latethistle.core.type;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.words.Align;
import app.latethistle.core.words.Box;
import app.latethistle.core.words.Design;
import app.latethistle.core.words.Designs;
import app.latethistle.core.words.LetterCase;
import app.latethistle.core.words.Lettering;
import app.latethistle.core.words.TitleKind;
import app.latethistle.core.words.TitleWords;
import java.awt.geom.Rectangle2D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class SetTextTest {
  private static final Lettering PLAIN =
      Lettering.plain(Lettering.Face.of("Source Sans 3"), 100, 0xffffff);

  private static SetText set(String text, Lettering how, Box box, int width, int height) {
    return SetText.of(
        new TitleWords(TitleKind.CARD, text, ""), how, box, width, height, TestFaces.ALL);
  }

  static java.util.List<Design> designs() {
    return Designs.ALL;
  }

  @ParameterizedTest
  @MethodSource("designs")
  void everyDesignHasItsFaceAndStandsInThePicture(Design design) {
    assertThat(TestFaces.ALL.has(design.lettering().face().family())).isTrue();
    SetText set =
        SetText.of(design.words(), design.lettering(), design.box(), 1920, 1080, TestFaces.ALL);
    assertThat(set.missing()).isEmpty();
    Rectangle2D box = set.box();
    assertThat(new Rectangle2D.Double(0, 0, 1920, 1080).contains(box)).isTrue();
  }

  @Test
  void linesAreOfLikeLengthAndKeepAnArticleWithItsNoun() {
    SetText set =
        set(
            "Nobody remembers the year the valley filled",
            PLAIN,
            new Box(500, 500, 700),
            1000,
            1000);
    assertThat(set.text()).hasSizeGreaterThan(1);
    assertThat(set.text()).noneMatch(line -> line.endsWith("the"));
    assertThat(String.join(" ", set.text()))
        .isEqualTo("Nobody remembers the year the valley filled");
  }

  @Test
  void itIsTheSameAtEverySizeOfThePicture() {
    SetText small = set("Night Post leaves at dawn", PLAIN, Box.MIDDLE, 640, 360);
    SetText large = set("Night Post leaves at dawn", PLAIN, Box.MIDDLE, 3840, 2160);
    assertThat(large.text()).isEqualTo(small.text());
    assertThat(large.box().getX() / 6).isCloseTo(small.box().getX(), within(0.2));
    assertThat(large.box().getWidth() / 6).isCloseTo(small.box().getWidth(), within(0.2));
    assertThat(large.box().getY() / 6).isCloseTo(small.box().getY(), within(0.2));
  }

  @Test
  void aWordThatIsWiderThanItsBoxIsMadeSmaller() {
    SetText set = set("Donaudampfschifffahrt", PLAIN, new Box(500, 500, 200), 1000, 1000);
    assertThat(set.text()).containsExactly("Donaudampfschifffahrt");
    assertThat(set.box().getWidth()).isCloseTo(200, within(1.0));
  }

  @Test
  void scriptsWithoutSpacesAreBrokenToo() {
    SetText set = set("ไปรษณีย์กลางคืนในหุบเขา", PLAIN, new Box(500, 500, 600), 1000, 1000);
    assertThat(set.text()).hasSizeGreaterThan(1);
  }

  @Test
  void quotationMarksHangOutsideOfTheEdge() {
    Lettering left =
        PLAIN.withSpacing(new Lettering.Spacing(0, 115, LetterCase.AS_WRITTEN, Align.START));
    SetText set = set("“quote”\nnone", left, new Box(500, 500, 800), 1000, 1000);
    assertThat(set.lines().get(0).x()).isLessThan(set.lines().get(1).x() - 10);
  }

  @Test
  void creditsStandInTwoColumnsAboutTheMiddle() {
    SetText set =
        SetText.of(
            new TitleWords(TitleKind.CREDITS, "cut by: a name\nmusic: another", ""),
            PLAIN.withSize(40),
            Box.MIDDLE,
            1000,
            1000,
            TestFaces.ALL);
    SetLine part = set.lines().get(0);
    SetLine name = set.lines().get(1);
    assertThat(part.y()).isEqualTo(name.y());
    assertThat(part.x() + part.shaped().width()).isLessThan(500);
    assertThat(name.x()).isGreaterThan(500);
    assertThat(set.lines().get(2).y()).isGreaterThan(part.y());
  }
}
