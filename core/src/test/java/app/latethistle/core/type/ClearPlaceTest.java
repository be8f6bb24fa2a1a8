package app.latethistle.core.type;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.look.Shape;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.words.Box;
import app.latethistle.core.words.CaptionStyle;
import app.latethistle.core.words.Design;
import app.latethistle.core.words.Designs;
import java.awt.geom.Rectangle2D;
import java.util.List;
import org.junit.jupiter.api.Test;

class ClearPlaceTest {
  private static final Shape WIDE = Shape.of(16, 9);

  private static WrittenCaption caption(long start, long end) {
    return new WrittenCaption(
        List.of("the water came", "at night"),
        CaptionStyle.USUAL.lettering(),
        new Box(500, 930, 860),
        0,
        new FrameRange(start, end),
        List.of());
  }

  private static WrittenTitle title(String text, int y, int width, long start, long end) {
    Design design = Designs.named("Soft main title");
    return new WrittenTitle(
        design.saying(text),
        design.lettering(),
        new Box(500, y, width),
        design.movement(),
        new FrameRange(start, end),
        start,
        List.of());
  }

  private static WrittenTitle title(int y, long start, long end) {
    return title("Night Post", y, 800, start, end);
  }

  private static int y(WrittenCaption caption, WrittenTitle... titles) {
    return new ClearPlace(List.of(titles), List.of(), WIDE).of(caption).box().y();
  }

  @Test
  void stayWhereTheyAreWhereNoTitleStands() {
    assertThat(y(caption(0, 40))).isEqualTo(930);
    assertThat(y(caption(0, 40), title(450, 0, 90))).isEqualTo(930);
    assertThat(y(caption(0, 40), title(900, 40, 90))).as("gone when it comes").isEqualTo(930);
  }

  @Test
  void goUpOutOfATitlesWayAsFarFromTheEdge() {
    // Two lines of 50 thousandths, 115 % from one to the next, below 70 thousandths of margin.
    assertThat(y(caption(0, 40), title(900, 39, 90))).isEqualTo(70 + 115);
  }

  @Test
  void stayWhereThereIsNoClearPlace() {
    assertThat(y(caption(0, 40), title(900, 0, 90), title(120, 0, 90))).isEqualTo(930);
  }

  /** Of a focus only what lies in their place while they stand counts. */
  @Test
  void goUpOutOfTheFocussWay() {
    Rectangle2D low = new Rectangle2D.Double(0.4, 0.85, 0.04, 0.04);
    assertThat(beside(low, 0, 20)).isEqualTo(70 + 115);
    assertThat(beside(low, 40, 90)).as("seen when it is gone").isEqualTo(930);
    assertThat(beside(new Rectangle2D.Double(0.4, 0.5, 0.04, 0.04), 0, 20)).isEqualTo(930);
    assertThat(beside(new Rectangle2D.Double(0.01, 0.85, 0.04, 0.04), 0, 20)).isEqualTo(930);
  }

  private static int beside(Rectangle2D part, long start, long end) {
    ClearPlace.Spared focus = new ClearPlace.Spared(new FrameRange(start, end), part);
    return new ClearPlace(List.of(), List.of(focus), WIDE).of(caption(0, 40)).box().y();
  }

  @Test
  void aTitleThatIsBrokenTakesMoreRows() {
    String many = "knock twice, and wait";
    assertThat(y(caption(0, 40), title(many, 600, 1500, 0, 90))).isEqualTo(930);
    assertThat(y(caption(0, 40), title(many, 600, 400, 0, 90))).isLessThan(930);
  }
}
