package app.latethistle.core.type;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.key.KeyWriter;
import app.latethistle.core.measure.Trail;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.words.Arrival;
import app.latethistle.core.words.ArrivalKind;
import app.latethistle.core.words.Box;
import app.latethistle.core.words.Designs;
import app.latethistle.core.words.Fill;
import app.latethistle.core.words.Lettering;
import app.latethistle.core.words.Movement;
import app.latethistle.core.words.Order;
import app.latethistle.core.words.Plate;
import app.latethistle.core.words.TitleKind;
import app.latethistle.core.words.TitleWords;
import app.latethistle.core.words.Unit;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

class WriterTest {
  private static final int WIDTH = 320;
  private static final int HEIGHT = 180;
  private static final Lettering PLAIN =
      Lettering.plain(Lettering.Face.bold("Fraunces"), 180, 0xfbf3df);
  private static final TitleWords WORDS = new TitleWords(TitleKind.MAIN, "Night Post", "");

  private static WrittenTitle title(Arrival in, Arrival out, List<Long> landings) {
    return new WrittenTitle(
        WORDS, PLAIN, Box.MIDDLE, new Movement(in, out), new FrameRange(10, 60), 22, landings);
  }

  private static byte[] drawn(Writing writing, long number) {
    return drawn(new Writer(TestFaces.ALL, WIDTH, HEIGHT), writing, number);
  }

  private static byte[] drawn(Writer writer, Writing writing, long number) {
    Frame frame = new Frame(WIDTH, HEIGHT);
    frame.black();
    writer.draw(writing, number, frame);
    return frame.data();
  }

  static Stream<Arrival> arrivals() {
    return Stream.of(ArrivalKind.values())
        .filter(k -> k != ArrivalKind.NONE)
        .flatMap(
            k ->
                Stream.of(Unit.WHOLE, Unit.WORD, Unit.LETTER)
                    .map(u -> new Arrival(k, u, Order.FORWARD, 12, 3)));
  }

  @ParameterizedTest
  @MethodSource("arrivals")
  void allOfItHasArrivedAtTheLandingAndNotBefore(Arrival in) {
    WrittenTitle title = title(in, Arrival.NONE, List.of());
    byte[] there = drawn(title, 40);
    assertThat(drawn(title, 22)).isEqualTo(there);
    assertThat(drawn(title, 21)).isNotEqualTo(there);
    assertThat(drawn(title, 9)).isEqualTo(drawn(title, 61));
  }

  @ParameterizedTest
  @EnumSource(Order.class)
  void anyFrameAloneIsAsInOrder(Order order) {
    Arrival in = new Arrival(ArrivalKind.RISE, Unit.LETTER, order, 12, 7);
    WrittenTitle title = title(in, Arrival.whole(ArrivalKind.CLEAR, 8), List.of(22L, 30L, 38L));
    Writer writer = new Writer(TestFaces.ALL, WIDTH, HEIGHT);
    for (long k = 8; k < 62; k++) {
      assertThat(drawn(writer, title, k)).as("frame %d", k).isEqualTo(drawn(title, k));
    }
  }

  @Test
  void wordsLandEachOnItsOwnMoment() {
    Arrival in = new Arrival(ArrivalKind.NONE, Unit.WORD, Order.ON_BEATS, 0, 0);
    WrittenTitle title = title(in, Arrival.NONE, List.of(22L, 35L));
    assertThat(drawn(title, 22)).isEqualTo(drawn(title, 34)).isNotEqualTo(drawn(title, 35));
    assertThat(drawn(title, 35)).isEqualTo(drawn(title, 59));
  }

  @Test
  void itsKeyTellsWhenItIsSeenAndNotWhereInTheFilmItLies() {
    Arrival in = Arrival.letters(ArrivalKind.RISE, 12);
    WrittenTitle title = title(in, Arrival.NONE, List.of());
    WrittenTitle later = title.at(k -> k + 100);
    assertThat(key(title, 12, 20)).isEqualTo(key(later, 112, 120));
    assertThat(key(title, 12, 20)).isNotEqualTo(key(title, 13, 21));
    // While it stands still it does not matter for how long it has.
    assertThat(key(title, 30, 40)).isEqualTo(key(title, 45, 55));
    assertThat(key(title, 70, 80)).isEqualTo(key(later, 0, 10));
  }

  private static String key(Writing writing, long from, long to) {
    KeyWriter key = new KeyWriter();
    writing.writeKey(key, new FrameRange(from, to));
    return key.hash();
  }

  @Test
  void theFilmIsSeenThroughItsLettersAndNothingElseIs() {
    Lettering through =
        PLAIN.withFill(Fill.FILM).withPlate(new Plate(Plate.Kind.PICTURE, 100, 0xffffff));
    WrittenTitle title = WrittenTitle.still(WORDS, through, Box.MIDDLE);
    Frame frame = new Frame(WIDTH, HEIGHT);
    frame.black();
    new Writer(TestFaces.ALL, WIDTH, HEIGHT).draw(title, 0, frame);
    int white = 0;
    int black = 0;
    for (int i = 0; i < WIDTH * HEIGHT; i++) {
      white += (frame.data()[i] & 0xff) == 235 ? 1 : 0;
      black += (frame.data()[i] & 0xff) == 16 ? 1 : 0;
    }
    assertThat(white).isGreaterThan(WIDTH * HEIGHT / 2);
    assertThat(black).isGreaterThan(1_000);
  }

  /** What white letters cover whole is the picture's, what they leave alone is the film's. */
  @Test
  void lettersOfAPictureShowWhatOfItLiesWhereTheyStand() {
    Frame picture = new Frame(WIDTH, HEIGHT);
    Arrays.fill(picture.data(), (byte) 128);
    for (int i = 0; i < WIDTH * HEIGHT; i++) {
      picture.data()[i] = (byte) (60 + 120 * (i % WIDTH) / WIDTH);
    }
    WrittenTitle white = WrittenTitle.still(WORDS, PLAIN.withColour(0xffffff), Box.MIDDLE);
    byte[] letters = drawn(white, 0);
    Frame frame = new Frame(WIDTH, HEIGHT);
    frame.black();
    Writer writer = new Writer(TestFaces.ALL, WIDTH, HEIGHT);
    writer.draw(white.withLettering(PLAIN.withColour(0xff0000)), 0, frame, picture);
    int within = 0;
    for (int i = 0; i < WIDTH * HEIGHT; i++) {
      int luma = frame.data()[i] & 0xff;
      if ((letters[i] & 0xff) == 235) {
        assertThat(luma).as("pixel %d", i).isCloseTo(picture.data()[i] & 0xff, within(2));
        within++;
      } else if ((letters[i] & 0xff) == 16) {
        assertThat(luma).as("pixel %d", i).isEqualTo(16);
      }
    }
    assertThat(within).isGreaterThan(1_000);
    // The next one has its own colour again.
    Frame after = new Frame(WIDTH, HEIGHT);
    after.black();
    writer.draw(white, 0, after);
    assertThat(after.data()).isEqualTo(letters);
  }

  @Test
  void lettersOfAColourHaveItInFull() {
    Lettering red = Lettering.plain(Lettering.Face.of("Alfa Slab One"), 400, 0xff0000);
    WrittenTitle title =
        WrittenTitle.still(new TitleWords(TitleKind.CARD, "III", ""), red, Box.MIDDLE);
    byte[] data = drawn(title, 0);
    int most = 0;
    for (int i = 0; i < WIDTH * HEIGHT; i++) {
      most = Math.max(most, data[i] & 0xff);
    }
    // ITU-R BT.709: red is 63, 102, 240.
    assertThat(most).isEqualTo(63);
    int cr = WIDTH * HEIGHT * 5 / 4 + (HEIGHT / 4) * (WIDTH / 2) + WIDTH / 4;
    assertThat(data[cr] & 0xff).isEqualTo(240);
  }

  /** What goes with something is drawn as if it stood there; its key says where it is. */
  @Test
  void aTitleThatFollowsStandsWhereItHasGone() {
    WrittenTitle still = title(Arrival.NONE, Arrival.NONE, List.of());
    List<Trail.Place> steps = new ArrayList<>();
    for (int i = 0; i < 50; i++) {
      steps.add(new Trail.Place(0.004 * i, -0.002 * i));
    }
    WrittenTitle going = along(still, new Along(10, steps));
    assertThat(drawn(going, 10)).isEqualTo(drawn(still, 10));
    WrittenTitle there =
        new WrittenTitle(
            WORDS,
            PLAIN,
            Box.MIDDLE.at(600, 450),
            still.movement(),
            still.range(),
            still.landing(),
            List.of());
    assertThat(drawn(going, 35)).isEqualTo(drawn(there, 35));
    double before = middle(drawn(going, 30));
    assertThat(before - middle(drawn(going, 31))).isCloseTo(0.002 * HEIGHT, within(0.1));

    FrameRange part = new FrameRange(24, 48);
    assertThat(key(going, part)).isNotEqualTo(key(still, part));
    assertThat(key(going.at(frame -> frame + 24), new FrameRange(48, 72)))
        .isEqualTo(key(going, part));
    WrittenTitle slower = going.at(frame -> 2 * frame);
    assertThat(slower.along().at(70)).isEqualTo(going.along().at(35));
    assertThat(slower.along().at(71).x()).isCloseTo(0.004 * 25.5, within(1e-12));
  }

  private static WrittenTitle along(WrittenTitle title, Along along) {
    return new WrittenTitle(
        title.words(),
        title.lettering(),
        title.box(),
        title.movement(),
        title.range(),
        title.landing(),
        title.landings(),
        along);
  }

  private static String key(WrittenTitle title, FrameRange part) {
    KeyWriter key = new KeyWriter();
    title.writeKey(key, part);
    return key.hash();
  }

  @Test
  void aSlowMoveGoesByLessThanAPixel() {
    TitleWords roll = new TitleWords(TitleKind.LIST, "one", "");
    WrittenTitle title =
        new WrittenTitle(
            roll,
            PLAIN,
            Box.MIDDLE,
            new Movement(Arrival.NONE, Arrival.NONE, Movement.Course.ROLLS),
            new FrameRange(0, 2_000),
            0,
            List.of());
    double before = middle(drawn(title, 1_000));
    for (long k = 1_001; k < 1_020; k++) {
      double now = middle(drawn(title, k));
      // A picture's height and a block's, in 2,000 frames.
      assertThat(before - now).isBetween(0.05, 0.18);
      before = now;
    }
  }

  /** The mean height of what is light. */
  private static double middle(byte[] data) {
    double sum = 0;
    double weight = 0;
    for (int y = 0; y < HEIGHT; y++) {
      for (int x = 0; x < WIDTH; x++) {
        int light = (data[y * WIDTH + x] & 0xff) - 16;
        sum += (double) light * y;
        weight += light;
      }
    }
    return sum / weight;
  }

  @Test
  void aRunningNumberCountsUntilItLands() {
    TitleWords count = new TitleWords(TitleKind.COUNTER, "{0..40}", "");
    assertThat(count.counted(0).text()).isEqualTo("0");
    assertThat(count.counted(0.5).text()).isEqualTo("20");
    assertThat(count.counted(1).text()).isEqualTo("40");
  }

  @Test
  void aPictureOfItHasNothingWhereNothingIsWritten() {
    WrittenTitle title =
        WrittenTitle.still(WORDS, Designs.named("Soft main title").lettering(), Box.MIDDLE);
    BufferedImage picture = new Writer(TestFaces.ALL, WIDTH, HEIGHT).picture(title, 0);
    assertThat(picture.getRGB(0, 0) >>> 24).isZero();
    assertThat(picture.getRGB(WIDTH / 2 - 60, HEIGHT / 2) >>> 24).isNotNegative();
  }

  /** A word that no space follows is a word of its own, and looks as it would in one piece. */
  @Test
  void theSpokenWordIsMarkedWhereNoSpacesAre() {
    WrittenCaption apart = caption("夜の\u200b郵便", List.of(2L, 10L));
    assertThat(drawn(apart, 0)).isEqualTo(drawn(caption("夜の郵便", List.of(2L)), 0));
    assertThat(drawn(apart, 2)).isNotEqualTo(drawn(caption("夜の郵便", List.of(2L)), 2));
    assertThat(drawn(apart, 2)).isNotEqualTo(drawn(apart, 10));
    assertThat(drawn(apart, 10)).isNotEqualTo(drawn(apart, 0));
  }

  private static WrittenCaption caption(String line, List<Long> spoken) {
    return new WrittenCaption(
        List.of(line),
        PLAIN.withSize(80),
        new Box(500, 900, 900),
        0xff0000,
        new FrameRange(0, 20),
        spoken);
  }

  @Test
  void theSpokenWordIsMarked() {
    WrittenCaption caption = caption("knock twice", List.of(2L, 10L));
    assertThat(drawn(caption, 0)).isNotEqualTo(drawn(caption, 2));
    assertThat(drawn(caption, 2)).isEqualTo(drawn(caption, 9)).isNotEqualTo(drawn(caption, 10));
  }
}
