package app.latethistle.core.render;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.film.Cutting;
import app.latethistle.core.film.Edit;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.Films;
import app.latethistle.core.film.Run;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.take.Framing;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class ProgramTest {
  private static Span span(long start, long end, String media, long in) {
    return new Span(new FrameRange(start, end), media, in, 200, Framing.FILL);
  }

  private static Program program(long fade, Span... spans) {
    return new Program(List.of(spans), fade, FrameRate.FPS_24, 64, 36);
  }

  private static Program of(Film film) {
    Cutting cutting = Cutting.of(film, Films.GRID, Films.RATE, Films.takes());
    return Program.of(film, cutting, Films.takes(), Films.RATE, 64, 36);
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void segmentsCoverTheFilmOnce(long seed) {
    Program program = of(Films.film(new Random(seed)));
    long at = 0;
    for (Segment segment : program.segments()) {
      assertThat(segment.range().start()).isEqualTo(at);
      at = segment.range().end();
    }
    assertThat(at).isEqualTo(program.length());
  }

  @Test
  void anEditChangesOnlyTheSegmentsItTouches() {
    Program before =
        program(0, span(0, 96, "a", 0), span(96, 200, "b", 10), span(200, 300, "c", 0));
    Program after = program(0, span(0, 96, "a", 0), span(96, 200, "b", 11), span(200, 300, "c", 0));
    List<Boolean> same = new ArrayList<>();
    for (int i = 0; i < before.segments().size(); i++) {
      same.add(before.segments().get(i).hash().equals(after.segments().get(i).hash()));
    }
    // Segments of 48 frames: b covers 96 to 200, that is segments 2, 3 and a part of 4.
    assertThat(same).containsExactly(true, true, false, false, false, true, true);
  }

  @Test
  void aHashCoversWhatCanChangeAPixel() {
    Program plain = program(0, span(0, 40, "a", 0));
    List<Program> others =
        List.of(
            program(0, span(0, 40, "b", 0)),
            program(0, span(0, 40, "a", 1)),
            program(5, span(0, 40, "a", 0)),
            new Program(plain.spans(), 0, FrameRate.of(25, 1), 64, 36),
            new Program(plain.spans(), 0, FrameRate.FPS_24, 66, 36),
            program(0, new Span(new FrameRange(0, 40), "a", 0, 200, Framing.FIT)),
            program(0, new Span(new FrameRange(0, 40), "a", 0, 30, Framing.FILL)));
    FrameRange range = new FrameRange(0, 40);
    assertThat(others).extracting(p -> p.hash(range)).doesNotContain(plain.hash(range));
    assertThat(program(0, span(0, 40, "a", 0)).hash(range)).isEqualTo(plain.hash(range));
  }

  @Test
  void theSameFilmAtAnotherRateLastsAsLong() {
    Film film = Films.film(new Random(11));
    Program program = of(film);
    Program other = program.at(FrameRate.of(30000, 1001));
    assertThat(other.spans()).hasSameSizeAs(program.spans());
    for (int i = 0; i < program.spans().size(); i++) {
      double start = program.rate().secondsOf(program.spans().get(i).range().start());
      double there = other.rate().secondsOf(other.spans().get(i).range().start());
      assertThat(Math.abs(start - there)).isLessThanOrEqualTo(0.5 * 1001 / 30000 + 1e-9);
    }
    assertThat(program.at(Films.RATE)).isEqualTo(program);
  }

  @Test
  void theCompositorDrawsEachSpansFramesAndHoldsTheLast() throws IOException {
    Program program =
        program(0, span(0, 3, "a", 7), new Span(new FrameRange(3, 8), "b", 18, 20, Framing.FILL));
    List<Integer> seen = new ArrayList<>();
    new Compositor(program, new Numbered())
        .draw(new FrameRange(1, 8), frame -> seen.add(frame.data()[0] & 255));
    // Media a shows 100 + its frame, b 150 + its frame; b has no frame after 19.
    assertThat(seen).containsExactly(108, 109, 168, 169, 169, 169, 169);
  }

  private static List<Integer> shown(Run run) throws IOException {
    FrameRange range = new FrameRange(0, 8);
    Program program = program(0, new Span(range, "a", 10, 16, Framing.FILL, run, Span.Lie.CUT));
    List<Integer> seen = new ArrayList<>();
    new Compositor(program, new Numbered())
        .draw(range, frame -> seen.add((frame.data()[0] & 255) - 100));
    return seen;
  }

  @Test
  void aTakeRunsAsItIsTold() throws IOException {
    assertThat(shown(Run.at(50))).containsExactly(10, 11, 11, 12, 12, 13, 13, 14);
    assertThat(shown(Run.at(200))).containsExactly(10, 12, 14, 15, 15, 15, 15, 15);
    assertThat(shown(Run.PLAIN.withWay(Run.Way.HOLD))).containsOnly(10);
    assertThat(shown(Run.at(50).withWay(Run.Way.REVERSE)))
        .containsExactly(14, 14, 13, 13, 12, 12, 11, 11);
    assertThat(shown(Run.PLAIN.withWay(Run.Way.BACK_AND_FORTH)))
        .containsExactly(10, 11, 12, 13, 14, 15, 14, 13);
    // From a quarter to 175 %: the same frames in all as at 100 %, late.
    assertThat(shown(new Run(Run.Way.FORWARD, 25, 175, Run.Between.NEAREST)))
        .containsExactly(10, 10, 11, 12, 13, 14, 15, 15);
  }

  @Test
  void framesBetweenAreMixed() throws IOException {
    // In the Numbered source a frame is one brighter than the last; half of that is rounded up.
    assertThat(shown(new Run(Run.Way.FORWARD, 50, 50, Run.Between.BLENDED)))
        .containsExactly(10, 11, 11, 12, 12, 13, 13, 14);
    assertThat(shown(new Run(Run.Way.REVERSE, 100, 100, Run.Between.MOTION)))
        .containsExactly(15, 15, 15, 14, 13, 12, 11, 10);
  }

  @Test
  void whatLiesOverTheCutIsSeenOverIt() throws IOException {
    FrameRange range = new FrameRange(0, 6);
    Span under = new Span(range, "a", 0, 200, Framing.FILL);
    Span.Lie half = new Span.Lie(1, 50, 100, 50, 50);
    Span.Lie corner = new Span.Lie(2, 100, 50, 100, 100);
    Program program =
        program(
            0,
            under,
            new Span(new FrameRange(2, 4), "b", 0, 200, Framing.FILL, Run.PLAIN, half),
            new Span(new FrameRange(3, 5), "b", 9, 200, Framing.FILL, Run.PLAIN, corner));
    List<Integer> topLeft = new ArrayList<>();
    List<Integer> bottomRight = new ArrayList<>();
    new Compositor(program, new Numbered())
        .draw(
            range,
            frame -> {
              topLeft.add(frame.data()[0] & 255);
              bottomRight.add(frame.data()[64 * 36 - 1] & 255);
            });
    assertThat(topLeft).containsExactly(100, 101, 126, 127, 104, 105);
    assertThat(bottomRight).containsExactly(100, 101, 126, 159, 160, 105);
    assertThat(program.length()).isEqualTo(6);
  }

  @Test
  void theEndFadesToBlack() throws IOException {
    Program program = program(10, span(0, 20, "a", 0));
    List<Integer> seen = new ArrayList<>();
    new Compositor(program, new Numbered())
        .draw(new FrameRange(8, 20), frame -> seen.add(frame.data()[0] & 255));
    assertThat(seen.get(1)).isEqualTo(109);
    // The fade covers frames 10 to 19; without it each would be one brighter than the last.
    for (int i = 4; i < 12; i++) {
      assertThat(seen.get(i)).isLessThan(seen.get(i - 1));
    }
    assertThat(seen.get(11)).isLessThan(24);
  }

  @Test
  void removingAShotLeavesNoGap() {
    Film film = Films.film(new Random(5));
    Film after = new Edit.RemoveShot(1, 1).apply(film);
    Program program = of(after);
    long at = 0;
    for (Span s : program.spans()) {
      assertThat(s.range().start()).isEqualTo(at);
      at = s.range().end();
    }
  }

  /** Frames whose luma tells medium and number. */
  private static final class Numbered implements PictureSource {
    @Override
    public Reader open(String media, FrameRange frames) {
      int base = media.equals("a") ? 100 : 150;
      return new Reader() {
        private final Frame frame = new Frame(64, 36);
        private long at = frames.start();

        @Override
        public PictureShape shape() {
          return PictureShape.of(64, 36);
        }

        @Override
        public Frame next() throws IOException {
          if (at >= frames.end()) {
            throw new IOException("read past the end of what was opened");
          }
          frame.black();
          java.util.Arrays.fill(frame.data(), 0, frame.offset(1), (byte) (base + at++));
          return frame;
        }

        @Override
        public void close() {}
      };
    }
  }
}
