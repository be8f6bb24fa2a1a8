package app.latethistle.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.look.Easing;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.FramingPath;
import app.latethistle.core.look.View;
import app.latethistle.core.look.Window;
import app.latethistle.core.take.PictureShape;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is drawn along a move lies where the move says, to a sixteenth of a pixel. */
class PathFramerTest {
  private static final int WIDTH = 640;
  private static final int HEIGHT = 360;
  private static final PictureShape CLIP = PictureShape.of(WIDTH, HEIGHT);

  /** Waves across, so that where a place is can be told from the phase at it. */
  private static Frame waves(double period) {
    Frame frame = new Frame(WIDTH, HEIGHT);
    frame.black();
    for (int y = 0; y < HEIGHT; y++) {
      for (int x = 0; x < WIDTH; x++) {
        double wave = Math.cos(2 * Math.PI * (x + 0.5) / period);
        frame.data()[y * WIDTH + x] = (byte) Math.round(126 + 90 * wave);
      }
    }
    return frame;
  }

  /** The phase of the waves about a place of a line, in pixels of the film, by correlation. */
  private static double phase(Frame frame, double period, int from, int count) {
    double cos = 0;
    double sin = 0;
    for (int i = 0; i < count; i++) {
      int x = from + i;
      double luma = (frame.data()[HEIGHT / 2 * WIDTH + x] & 0xff) - 126;
      cos += luma * Math.cos(2 * Math.PI * (x + 0.5) / period);
      sin += luma * Math.sin(2 * Math.PI * (x + 0.5) / period);
    }
    return Math.atan2(sin, cos) * period / (2 * Math.PI);
  }

  /**
   * A move of 3 % over 20 s at 24 frames a second: 19 pixels over a line pattern. Each frame is
   * measured by the phase of the lines against where the move is exactly; no step is repeated and
   * none jumps.
   */
  @Test
  void aSlowPanIsWhereItShouldBeToASixteenthOfAPixel() {
    View first = new View(1030, -150, 0, 0);
    View last = new View(1030, 150, 0, 0);
    FramingPath path =
        FramingPath.of(first.within(CLIP, 16 / 9.0), last.within(CLIP, 16 / 9.0), Easing.EVEN);
    PathFramer framer = new PathFramer(path, CLIP, WIDTH, HEIGHT);
    Frame source = waves(16);
    Frame target = new Frame(WIDTH, HEIGHT);
    double period = 16 * 1.03;
    double before = Double.NaN;
    double steps = 0;
    for (int k = 0; k < 480; k++) {
      double time = (k + 0.5) / 480;
      framer.draw(source, target, time);
      Window at = path.at(time, CLIP, 16 / 9.0);
      double exact = -(at.x() - at.width() / 2) * WIDTH / at.width();
      double seen = phase(target, period, 200, 165);
      double off = (seen - exact) % period;
      off = off > period / 2 ? off - period : off < -period / 2 ? off + period : off;
      assertThat(off).as("frame %d", k).isCloseTo(0, within(1 / 16.0));
      if (k > 0) {
        double step = before - seen;
        step = step < -period / 2 ? step + period : step;
        assertThat(step).as("step %d", k).isGreaterThan(0).isLessThan(0.12);
        steps += step;
      }
      before = seen;
    }
    assertThat(steps).isBetween(17.0, 20.0);
  }

  /** A frame that is not moved is the one that fills the picture. */
  @Test
  void theWholeTakeIsDrawnAsFillingDoes() {
    Random random = new Random(5);
    Frame source = new Frame(WIDTH, HEIGHT);
    for (int i = 0; i < source.data().length; i++) {
      source.data()[i] = (byte) (16 + random.nextInt(220));
    }
    for (int[] size : new int[][] {{640, 360}, {960, 540}, {320, 320}}) {
      Frame here = new Frame(size[0], size[1]);
      Frame there = new Frame(size[0], size[1]);
      new PathFramer(FramingPath.still(View.WHOLE), CLIP, size[0], size[1]).draw(source, here, 0.5);
      Framer.of(CLIP, size[0], size[1], Framing.FILL).draw(source, there);
      assertThat(here.data()).isEqualTo(there.data());
    }
  }

  /** A smooth picture of its place: luma grows to the right, and more slowly downward. */
  private static Frame slope() {
    Frame frame = new Frame(WIDTH, HEIGHT);
    for (int plane = 0; plane < 3; plane++) {
      int part = plane == 0 ? 1 : 2;
      for (int y = 0; y < HEIGHT / part; y++) {
        for (int x = 0; x < WIDTH / part; x++) {
          double value = 30 + 0.25 * (x * part + 0.5) + 0.1 * (y * part + 0.5 * part);
          frame.data()[frame.offset(plane) + y * (WIDTH / part) + x] = (byte) Math.round(value);
        }
      }
    }
    return frame;
  }

  /** Every sample shows the place of the take that the turned window has there. */
  @ParameterizedTest
  @ValueSource(ints = {-4500, -1200, -30, 30, 700, 3000, 9000, 17_000})
  void aTurnedWindowShowsWhatLiesUnderIt(int turn) {
    FramingPath path = FramingPath.still(new View(1500, 300, -200, turn).within(CLIP, 16 / 9.0));
    Window window = path.at(0, CLIP, 16 / 9.0);
    Frame target = new Frame(WIDTH, HEIGHT);
    new PathFramer(path, CLIP, WIDTH, HEIGHT).draw(slope(), target, 0);
    double cos = Math.cos(window.turn());
    double sin = Math.sin(window.turn());
    for (int plane = 0; plane < 3; plane++) {
      int part = plane == 0 ? 1 : 2;
      for (int y = 0; y < HEIGHT / part; y += 7) {
        for (int x = 0; x < WIDTH / part; x += 11) {
          double a = ((x * part + 0.5) / WIDTH - 0.5) * window.width();
          double b = ((y * part + 0.5 * part) / HEIGHT - 0.5) * window.height();
          double value =
              30 + 0.25 * (window.x() + a * cos - b * sin) + 0.1 * (window.y() + a * sin + b * cos);
          int seen = target.data()[target.offset(plane) + y * (WIDTH / part) + x] & 0xff;
          assertThat((double) seen)
              .as("plane %d at %d, %d", plane, x, y)
              .isCloseTo(value, within(1.3));
        }
      }
    }
  }
}
