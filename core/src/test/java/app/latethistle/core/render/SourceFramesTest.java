package app.latethistle.core.render;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.picture.Frame;
import app.latethistle.core.time.FrameRange;
import java.io.IOException;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Frames in any order from a source that reads forward: what is opened, and what is kept. */
class SourceFramesTest {
  private final Drawn source = new Drawn((media, frame, x, y) -> (int) frame);

  private SourceFrames frames(long from, long to, boolean passing) {
    return new SourceFrames(source, "m", new FrameRange(from, to), passing, Optional.empty());
  }

  private static int number(Frame frame) {
    return frame.data()[0] & 255;
  }

  @Test
  void forwardOneOpeningServesAll() throws IOException {
    try (SourceFrames frames = frames(5, 60, false)) {
      for (int i = 5; i < 60; i++) {
        assertThat(number(frames.at(i))).isEqualTo(i);
        assertThat(number(frames.at(Math.max(5, i - 1)))).isEqualTo(Math.max(5, i - 1));
      }
    }
    assertThat(source.opened).containsExactly("m 5");
    assertThat(source.open).isZero();
  }

  @Test
  void whatPassesIsReadOnceAndMayBeAskedForAgain() throws IOException {
    try (SourceFrames frames = frames(0, 40, true)) {
      frames.open(3);
      for (int i = 3; i < 40; i += 2) {
        assertThat(number(frames.at(i))).isEqualTo(i);
        assertThat(number(frames.at(i))).isEqualTo(i);
      }
    }
    assertThat(source.opened).containsExactly("m 3");
  }

  @Test
  void backwardItReadsInHandfuls() throws IOException {
    try (SourceFrames frames = frames(0, 100, false)) {
      for (int i = 99; i >= 0; i--) {
        assertThat(number(frames.at(i))).isEqualTo(i);
      }
    }
    // The first opening serves one frame; then eleven at a time.
    assertThat(source.opened.size()).isBetween(9, 11);
    assertThat(source.opened.get(0)).isEqualTo("m 99");
    assertThat(source.opened.get(1)).isEqualTo("m 88");
    assertThat(source.open).isZero();
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void inAnyOrderEachIsTheOneAskedForAndTheOneBeforeIsStillGood(long seed) throws IOException {
    Random random = new Random(seed);
    try (SourceFrames frames = frames(10, 90, false)) {
      for (int i = 0; i < 60; i++) {
        int at = 10 + random.nextInt(79);
        Frame first = frames.at(at);
        Frame second = frames.at(at + 1);
        assertThat(number(first)).isEqualTo(at);
        assertThat(number(second)).isEqualTo(at + 1);
      }
    }
    assertThat(source.open).isZero();
  }
}
