package app.latethistle.core.type;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.key.KeyWriter;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.words.Arrival;
import app.latethistle.core.words.ArrivalKind;
import app.latethistle.core.words.Box;
import app.latethistle.core.words.Lettering;
import app.latethistle.core.words.Movement;
import app.latethistle.core.words.Plate;
import app.latethistle.core.words.TitleKind;
import app.latethistle.core.words.TitleWords;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A picture that stands in place of words is seen as it is, wherever words would be. */
class LogotypeTest {
  private static final String NAME = "Our sign";
  private static final int WIDTH = 640;
  private static final int HEIGHT = 360;

  /** Its left half is red, its right half is blue but for a hole that is seen through. */
  private static final BufferedImage PICTURE = picture();

  private static final Faces FACES = TestFaces.with(NAME, PICTURE);

  private static BufferedImage picture() {
    BufferedImage picture = new BufferedImage(600, 200, BufferedImage.TYPE_INT_ARGB);
    Graphics2D onto = picture.createGraphics();
    onto.setColor(Color.RED);
    onto.fillRect(0, 0, 300, 200);
    onto.setColor(Color.BLUE);
    onto.fillRect(300, 0, 300, 60);
    onto.fillRect(300, 140, 300, 60);
    onto.dispose();
    return picture;
  }

  private static final TitleWords WORDS = new TitleWords(TitleKind.MAIN, "Night\nPost", "a film");

  private static Lettering lettering(int size) {
    return Lettering.plain(Lettering.Face.of(NAME), size, 0xffffff);
  }

  private static BufferedImage drawn(WrittenTitle title, long frame) {
    return new Writer(FACES, WIDTH, HEIGHT).picture(title, frame);
  }

  private static WrittenTitle still(int size, int room) {
    return WrittenTitle.still(WORDS, lettering(size), new Box(500, 500, room));
  }

  private static Rectangle2D box(WrittenTitle title) {
    return new Writer(FACES, WIDTH, HEIGHT).set(title, 0).box();
  }

  @Test
  void itIsSeenInPlaceOfWordsAsHighAsALineOfThem() {
    WrittenTitle title = still(300, 1000);
    Rectangle2D box = box(title);
    double high = 0.3 * HEIGHT * (SetLine.ABOVE + SetLine.BELOW);
    assertThat(box.getHeight()).isEqualTo(high, within(1e-6));
    assertThat(box.getWidth()).isEqualTo(3 * high, within(1e-6));
    assertThat(box.getCenterX()).isEqualTo(WIDTH / 2.0, within(1e-6));
    assertThat(box.getCenterY()).isEqualTo(HEIGHT / 2.0, within(1e-6));
    BufferedImage seen = drawn(title, 0);
    for (int y = 0; y < HEIGHT; y++) {
      for (int x = 0; x < WIDTH; x++) {
        double across = (x + 0.5 - box.getX()) / box.getWidth();
        double down = (y + 0.5 - box.getY()) / box.getHeight();
        boolean edge =
            List.of(0.0, 0.5, 1.0).stream().anyMatch(e -> Math.abs(across - e) < 0.02)
                || List.of(0.0, 0.3, 0.7, 1.0).stream().anyMatch(e -> Math.abs(down - e) < 0.03);
        if (!edge) {
          boolean in = across > 0 && across < 1 && down > 0 && down < 1;
          boolean hole = across > 0.5 && down > 0.3 && down < 0.7;
          int expected = !in || hole ? 0 : across < 0.5 ? 0xffff0000 : 0xff0000ff;
          assertThat(seen.getRGB(x, y)).as("%d, %d", x, y).isEqualTo(expected);
        }
      }
    }
  }

  @Test
  void itGetsNoWiderThanItsBox() {
    assertThat(box(still(800, 400)).getWidth()).isEqualTo(0.4 * WIDTH, within(1e-6));
    assertThat(box(still(800, 400)).getHeight()).isEqualTo(0.4 * WIDTH / 3, within(1e-6));
  }

  /** Drawn small it has the mean of what it shows, not every tenth line of it. */
  @Test
  void smallItLosesNoLineOfIt() {
    BufferedImage lines = new BufferedImage(800, 800, BufferedImage.TYPE_INT_ARGB);
    for (int y = 0; y < 800; y++) {
      for (int x = 0; x < 800; x++) {
        lines.setRGB(x, y, x % 8 == 3 ? 0xffffffff : 0xff000000);
      }
    }
    Writer writer = new Writer(TestFaces.with(NAME, lines), WIDTH, HEIGHT);
    BufferedImage seen = writer.picture(still(120, 1000), 0);
    for (int x = WIDTH / 2 - 15; x < WIDTH / 2 + 15; x++) {
      assertThat(seen.getRGB(x, HEIGHT / 2) & 0xff).isBetween(255 / 8 - 24, 255 / 8 + 24);
    }
  }

  @Test
  void itLiesOnAPlateAndComesAsLettersDo() {
    Lettering on = lettering(200).withPlate(new Plate(Plate.Kind.BLOCK, 100, 0x00ff00));
    WrittenTitle title =
        new WrittenTitle(
            WORDS,
            on,
            Box.MIDDLE,
            new Movement(Arrival.whole(ArrivalKind.FADE, 10), Arrival.NONE),
            new FrameRange(0, 40),
            10,
            List.of());
    int behindHole = drawn(title, 20).getRGB(WIDTH / 2 + 50, HEIGHT / 2);
    assertThat(behindHole).isEqualTo(0xff00ff00);
    int half = drawn(title, 5).getRGB(WIDTH / 2 - 50, HEIGHT / 2) >>> 24;
    assertThat(half).isBetween(60, 230);
    assertThat(drawn(title, 20).getRGB(WIDTH / 2 - 50, HEIGHT / 2)).isEqualTo(0xffff0000);
  }

  /** WCAG asks no contrast of logotypes; captions are set in letters. */
  @Test
  void nothingIsAskedOfItsContrastAndCaptionsHaveLetters() {
    Frame behind = new Frame(WIDTH, HEIGHT);
    behind.black();
    Legibility legibility =
        new Writer(FACES, WIDTH, HEIGHT).legibility(still(300, 1000), 0, behind);
    assertThat(legibility.suffices()).isTrue();
    assertThat(legibility.letters()).isEmpty();
    SetText caption =
        SetText.onBottom(List.of("Night"), lettering(60), Box.MIDDLE, WIDTH, HEIGHT, FACES);
    assertThat(caption.lines().get(0).shaped().letters()).hasSize(5);
  }

  @Test
  void itHasAKeyOfItsOwnAndABrokenOneIsNamed() {
    WrittenTitle words =
        WrittenTitle.still(
            WORDS, lettering(300).withFace(Lettering.Face.of("Fraunces")), Box.MIDDLE);
    assertThat(key(still(300, 1000))).isNotEqualTo(key(words));
    LogotypeFile gone =
        new LogotypeFile(
            NAME,
            () -> {
              throw new IOException("gone");
            });
    Faces broken = TestFaces.ALL.with(List.of(), List.of(gone));
    assertThatThrownBy(() -> new Writer(broken, WIDTH, HEIGHT).picture(still(300, 1000), 0))
        .isInstanceOf(UncheckedIOException.class)
        .hasMessageContaining(NAME);
  }

  private static String key(WrittenTitle title) {
    KeyWriter key = new KeyWriter();
    title.writeKey(key, new FrameRange(0, 1));
    return key.hash();
  }
}
