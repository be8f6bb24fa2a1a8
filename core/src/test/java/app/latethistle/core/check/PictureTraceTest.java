package app.latethistle.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.picture.Frame;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.function.IntFunction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Faults of pictures are found where they are, and nowhere else. */
class PictureTraceTest {
  private static final int WIDTH = 320;
  private static final int HEIGHT = 180;

  /** A picture with detail that goes to the right by a pixel a frame. */
  private static Frame moving(int at) {
    Frame frame = new Frame(WIDTH, HEIGHT);
    byte[] data = frame.data();
    for (int y = 0; y < HEIGHT; y++) {
      for (int x = 0; x < WIDTH; x++) {
        double wave = Math.sin((x - at) * 0.11) + Math.sin(y * 0.17 + (x - at) * 0.05);
        data[y * WIDTH + x] = (byte) (110 + (int) (30 * wave));
      }
    }
    Arrays.fill(data, WIDTH * HEIGHT, data.length, (byte) 128);
    return frame;
  }

  private static Frame plain(int luma, int cb, int cr) {
    Frame frame = new Frame(WIDTH, HEIGHT);
    byte[] data = frame.data();
    Arrays.fill(data, 0, WIDTH * HEIGHT, (byte) luma);
    Arrays.fill(data, frame.offset(1), frame.offset(2), (byte) cb);
    Arrays.fill(data, frame.offset(2), data.length, (byte) cr);
    return frame;
  }

  private static PictureTrace trace(int frames, IntFunction<Frame> picture) {
    PictureTrace.Reader reader = new PictureTrace.Reader(FrameRate.FPS_24);
    for (int f = 0; f < frames; f++) {
      reader.add(picture.apply(f));
    }
    return reader.trace();
  }

  @Test
  void aMovingPictureHasNoFault() {
    PictureTrace seen = trace(96, PictureTraceTest::moving);
    assertThat(seen.black()).isEmpty();
    assertThat(seen.frozen(12)).isEmpty();
    assertThat(seen.repeated()).isEmpty();
    assertThat(seen.outside()).isEmpty();
    assertThat(Flashes.in(seen)).isEmpty();
  }

  @Test
  void blackFrozenAndOutOfRangeAreFoundToTheFrame() {
    PictureTrace seen =
        trace(
            120,
            f -> {
              if (f >= 30 && f < 50) {
                return plain(16, 128, 128);
              }
              if (f >= 100 && f < 110) {
                return plain(250, 128, 128);
              }
              return moving(f >= 60 && f < 84 ? 60 : f);
            });
    assertThat(seen.black()).containsExactly(new FrameRange(30, 50));
    assertThat(seen.frozen(12)).containsExactly(new FrameRange(60, 84));
    assertThat(seen.outside()).containsExactly(new FrameRange(100, 110));
  }

  /** EBU R 103: a colour whose blue is far below nothing, though its luma is well within range. */
  @Test
  void aColourThatNoScreenHasIsOutOfRange() {
    assertThat(trace(2, f -> plain(40, 40, 128)).outside()).hasSize(1);
    assertThat(trace(2, f -> plain(40, 120, 128)).outside()).isEmpty();
  }

  @Test
  void twelveInTwentyFourShowsAsRepeats() {
    PictureTrace seen = trace(96, f -> moving(f / 2 * 4));
    assertThat(seen.repeated().size()).isBetween(45, 48);
    assertThat(seen.frozen(12)).isEmpty();
  }

  /**
   * WCAG 2.2, 2.3.1: three flashes a second are let pass, four are not; nor are four in a quarter
   * of the picture, but those in a small part of it are, and those between two bright pictures.
   */
  @ParameterizedTest
  @CsvSource({
    "4, 1.0, 40, 200, true",
    "3, 1.0, 40, 200, false",
    "4, 0.5, 40, 200, true",
    "4, 0.08, 40, 200, false",
    "4, 1.0, 222, 235, false",
    "4, 1.0, 40, 60, false",
    "6, 1.0, 100, 190, true"
  })
  void flashesAreCounted(int perSecond, double side, int dark, int light, boolean found) {
    PictureTrace seen =
        trace(
            72,
            f -> {
              Frame frame = plain(90, 128, 128);
              boolean on = f * 2 * perSecond / 24 % 2 == 0;
              for (int y = 0; y < side * HEIGHT; y++) {
                Arrays.fill(
                    frame.data(),
                    y * WIDTH,
                    y * WIDTH + (int) (side * WIDTH),
                    (byte) (on ? light : dark));
              }
              return frame;
            });
    assertThat(!Flashes.in(seen).isEmpty()).isEqualTo(found);
  }

  /** A saturated red that comes and goes counts though its luminance hardly changes. */
  @Test
  void redFlashesCount() {
    // Red of full strength and a grey of its luminance.
    PictureTrace red = trace(72, f -> f / 3 % 2 == 0 ? plain(63, 102, 240) : plain(63, 128, 128));
    PictureTrace blue = trace(72, f -> f / 3 % 2 == 0 ? plain(32, 240, 118) : plain(32, 128, 128));
    assertThat(Flashes.in(red)).isNotEmpty();
    assertThat(Flashes.in(blue)).isEmpty();
  }

  /** A trace joined of parts says the same as one of the whole, wherever it is parted. */
  @Test
  void partsJoinedAreTheWhole() {
    Random random = new Random(18);
    for (int round = 0; round < 8; round++) {
      int from = random.nextInt(60);
      int length = 5 + random.nextInt(30);
      IntFunction<Frame> film =
          f -> {
            if (f >= from && f < from + length) {
              return f % 2 == 0 ? plain(30, 128, 128) : plain(200, 128, 128);
            }
            return f > 80 ? plain(16, 128, 128) : moving(f > 60 ? 60 : f);
          };
      PictureTrace whole = trace(96, film);
      int cut = 1 + random.nextInt(94);
      List<PictureTrace> parts = new ArrayList<>();
      parts.add(trace(cut, film));
      parts.add(trace(96 - cut, f -> film.apply(f + cut)));
      PictureTrace joined = PictureTrace.joined(parts);
      assertThat(joined.black()).isEqualTo(whole.black());
      assertThat(joined.frozen(12)).isEqualTo(whole.frozen(12));
      assertThat(joined.outside()).isEqualTo(whole.outside());
      assertThat(Flashes.in(joined)).isEqualTo(Flashes.in(whole));
    }
  }
}
