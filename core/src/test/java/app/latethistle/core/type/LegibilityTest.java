package app.latethistle.core.type;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.look.Shape;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.picture.Rgb;
import app.latethistle.core.words.Box;
import app.latethistle.core.words.Lettering;
import app.latethistle.core.words.SafeArea;
import app.latethistle.core.words.SafeAreas;
import app.latethistle.core.words.TitleKind;
import app.latethistle.core.words.TitleWords;
import app.latethistle.core.words.Zone;
import java.awt.geom.Rectangle2D;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LegibilityTest {
  private static final SafeArea SAFE = SafeArea.usual(Shape.of(16, 9));

  private static final int WIDTH = 320;
  private static final int HEIGHT = 180;

  /** WCAG 2.2's own numbers: 21 of black and white; #767676 is the lightest grey that passes. */
  @ParameterizedTest
  @CsvSource({
    "000000,ffffff,21",
    "777777,ffffff,4.48",
    "767676,ffffff,4.54",
    "949494,ffffff,3.03",
    "0000ff,ffffff,8.59",
    "ffff00,ffffff,1.07",
    "fbf3df,fbf3df,1"
  })
  void ratiosAreThoseOfWcag(String one, String other, double wanted) {
    double ratio =
        Legibility.ratio(
            Legibility.luminance(Integer.parseInt(one, 16)),
            Legibility.luminance(Integer.parseInt(other, 16)));
    assertThat(ratio).isCloseTo(wanted, within(0.01));
  }

  private static ReadingAid.Behind flat(int left, int right) {
    int[] rgb = new int[WIDTH * HEIGHT];
    for (int y = 0; y < HEIGHT; y++) {
      Arrays.fill(rgb, y * WIDTH, y * WIDTH + WIDTH / 2, left);
      Arrays.fill(rgb, y * WIDTH + WIDTH / 2, (y + 1) * WIDTH, right);
    }
    Frame frame = new Frame(WIDTH, HEIGHT);
    Rgb.toFrame(rgb, frame);
    return new ReadingAid.Behind(0, frame);
  }

  private static WrittenTitle title(int size, int x) {
    return WrittenTitle.still(
        new TitleWords(TitleKind.CARD, "lantern", ""),
        Lettering.plain(Lettering.Face.bold("Source Sans 3"), size, 0xffffff),
        new Box(x, 500, 800));
  }

  @Test
  void whiteLettersOverGreyHaveTheContrastOfTheirColours() {
    ReadingAid aid =
        new ReadingAid(TestFaces.ALL, List.of(flat(0x777777, 0x777777)), List.of(), SAFE);
    Legibility found = aid.measure(title(120, 500));
    assertThat(found.least()).isCloseTo(4.48, within(0.15));
    assertThat(found.needed()).isEqualTo(3);
    assertThat(found.suffices()).isTrue();
    Legibility small = aid.measure(title(15, 500));
    assertThat(small.needed()).isEqualTo(4.5);
    assertThat(small.suffices()).isFalse();
  }

  @Test
  void lettersOfAPictureAreReadByItsMeanColourWhereTheyStand() {
    Frame grey = flat(0x777777, 0x777777).frame();
    Frame black = flat(0, 0).frame();
    for (Frame behind : List.of(grey, black)) {
      ReadingAid aid =
          new ReadingAid(
              TestFaces.ALL,
              List.of(new ReadingAid.Behind(0, behind, Optional.of(grey))),
              List.of(),
              SAFE);
      double wanted = behind == grey ? 1 : 21 / 4.48;
      assertThat(aid.measure(title(120, 500)).least()).isCloseTo(wanted, within(0.15));
    }
  }

  @Test
  void onlyTheLettersOverTheLightPartCannotBeRead() {
    ReadingAid aid =
        new ReadingAid(TestFaces.ALL, List.of(flat(0x101010, 0xf0f0f0)), List.of(), SAFE);
    Legibility found = aid.measure(title(120, 500));
    List<Legibility.LetterContrast> letters = found.letters();
    assertThat(letters.get(0).ratio()).isGreaterThan(15);
    assertThat(letters.get(letters.size() - 1).ratio()).isLessThan(1.5);
    assertThat(letters).extracting(Legibility.LetterContrast::text).startsWith("l", "a", "n");
  }

  @Test
  void theWorstOfAllFramesCounts() {
    ReadingAid aid =
        new ReadingAid(
            TestFaces.ALL,
            List.of(flat(0x101010, 0x101010), flat(0xffffff, 0xffffff)),
            List.of(),
            SAFE);
    assertThat(aid.measure(title(120, 500)).least()).isLessThan(1.1);
  }

  @Test
  void remediesMakeItReadable() {
    ReadingAid aid =
        new ReadingAid(TestFaces.ALL, List.of(flat(0x101010, 0xf0f0f0)), List.of(), SAFE);
    WrittenTitle wrong = title(90, 640);
    List<ReadingAid.Remedy> remedies = aid.remedies(wrong, aid.measure(wrong));
    assertThat(remedies)
        .extracting(ReadingAid.Remedy::kind)
        .contains(ReadingAid.Kind.MOVE, ReadingAid.Kind.PLATE);
    for (ReadingAid.Remedy remedy : remedies) {
      WrittenTitle mended = WrittenTitle.still(wrong.words(), remedy.lettering(), remedy.box());
      assertThat(aid.measure(mended).least()).isCloseTo(remedy.ratio(), within(1e-9));
    }
    ReadingAid.Remedy moved =
        remedies.stream().filter(r -> r.kind() == ReadingAid.Kind.MOVE).findFirst().orElseThrow();
    assertThat(moved.box().x()).isLessThan(400);
    assertThat(moved.ratio()).isGreaterThan(10);
  }

  /** A title over the focus of its shot is offered another place, where it is not. */
  @Test
  void aTitleMovesFromWhatItIsNotToCover() {
    Rectangle2D focus = new Rectangle2D.Double(0.48, 0.48, 0.04, 0.04);
    ReadingAid aid =
        new ReadingAid(TestFaces.ALL, List.of(flat(0x101010, 0x202020)), List.of(focus), SAFE);
    WrittenTitle over = title(90, 500);
    assertThat(aid.covers(over, focus)).isTrue();
    ReadingAid.Remedy moved =
        aid.remedies(over, aid.measure(over)).stream()
            .filter(r -> r.kind() == ReadingAid.Kind.MOVE)
            .findFirst()
            .orElseThrow();
    assertThat(aid.covers(WrittenTitle.still(over.words(), moved.lettering(), moved.box()), focus))
        .isFalse();
    assertThat(aid.covers(title(90, 900), focus)).isFalse();
  }

  /** EBU R 95: graphics are safe in nine tenths of the width and the height. */
  @Test
  void whatLiesOutsideOfTheSafeAreaIsMeasured() {
    assertThat(outside(SAFE, 96, 54, 1728, 972, 1920, 1080)).isZero();
    assertThat(outside(SAFE, 84, 54, 100, 100, 1920, 1080)).isCloseTo(12, within(1e-9));
    SafeArea upright = SafeArea.usual(Shape.of(9, 16));
    assertThat(outside(upright, 60, 1500, 100, 200, 1080, 1920)).isGreaterThan(100);
    SafeAreas wider = SafeAreas.USUAL.with(Shape.of(9, 16), new SafeArea(0, 0, 0, 0));
    assertThat(outside(wider.of(Shape.of(9, 16)), 60, 1500, 100, 200, 1080, 1920)).isZero();
    assertThat(wider.with(Shape.of(9, 16), upright)).isEqualTo(SafeAreas.USUAL);
    assertThat(wider.of(Shape.of(16, 9))).isEqualTo(SAFE);
    assertThatThrownBy(() -> new SafeArea(0, 401, 0, 0)).hasMessageContaining("not 40.1");
    List<Zone> many = Collections.nCopies(9, new Zone(0, 0, 100, 100));
    assertThatThrownBy(() -> new SafeArea(0, 0, 0, 0, many)).hasMessageContaining("not 9");
    assertThatThrownBy(() -> new Zone(500, 0, 510, 100)).hasMessageContaining("a fiftieth");
    assertThatThrownBy(() -> new Zone(900, 0, 1010, 100)).hasMessageContaining("in the picture");
  }

  private static double outside(
      SafeArea safe, int x, int y, int width, int height, int across, int down) {
    return ReadingAid.outside(safe, new Rectangle2D.Double(x, y, width, height), across, down);
  }
}
