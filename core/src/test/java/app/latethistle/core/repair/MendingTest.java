package app.latethistle.core.repair;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.measure.RepeatFinder;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.time.FrameRange;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What is put right comes nearer to what the painter painted than it was. */
class MendingTest {
  private static final double RATE = 24;

  /** Pictures that are kept. */
  private record Kept(List<Frame> frames) implements Clip {
    @Override
    public int width() {
      return frames.get(0).width();
    }

    @Override
    public int height() {
      return frames.get(0).height();
    }

    @Override
    public void each(Taker taker) throws IOException {
      for (int i = 0; i < frames.size(); i++) {
        taker.take(i, frames.get(i));
      }
    }
  }

  /** Changes a code of a picture. */
  @FunctionalInterface
  private interface Fault {
    double of(int number, double code);
  }

  private static PaintedScene scene(long seed, int frames, double pan) {
    return new PaintedScene(seed, frames, pan, 0, null, 0);
  }

  private static Kept painted(PaintedScene scene, int frames) {
    List<Frame> all = new ArrayList<>();
    for (int i = 0; i < frames; i++) {
      all.add(scene.frame(i));
    }
    return new Kept(all);
  }

  /** The same pictures with something wrong in their luma. */
  private static Kept spoiled(Kept clip, Fault fault) {
    List<Frame> all = new ArrayList<>();
    for (int i = 0; i < clip.frames.size(); i++) {
      Frame frame = copy(clip.frames.get(i));
      for (int at = 0; at < frame.width() * frame.height(); at++) {
        double code = fault.of(i, frame.data()[at] & 0xff);
        frame.data()[at] = (byte) Math.round(Math.max(16, Math.min(235, code)));
      }
      all.add(frame);
    }
    return new Kept(all);
  }

  private static Frame copy(Frame frame) {
    Frame copy = new Frame(frame.width(), frame.height());
    copy.copy(frame);
    return copy;
  }

  private static Kept mended(Mending mending, Clip clip) throws IOException {
    List<Frame> all = new ArrayList<>();
    mending.mend(
        clip,
        (number, frame) -> {
          assertThat(number).isEqualTo(all.size());
          all.add(copy(frame));
        },
        share -> assertThat(share).isBetween(0.0, 1.0));
    return new Kept(all);
  }

  /** The mean square error of luma over all pictures. */
  private static double error(Kept made, Kept real) {
    assertThat(made.frames).hasSameSizeAs(real.frames);
    double sum = 0;
    for (int i = 0; i < made.frames.size(); i++) {
      sum += error(made.frames.get(i), real.frames.get(i));
    }
    return sum / made.frames.size();
  }

  private static double error(Frame made, Frame real) {
    double sum = 0;
    for (int at = 0; at < made.width() * made.height(); at++) {
      double off = (made.data()[at] & 0xff) - (real.data()[at] & 0xff);
      sum += off * off;
    }
    return sum / (made.width() * made.height());
  }

  private static Fault noise(double deviation) {
    SplittableRandom chance = new SplittableRandom(7);
    return (number, code) -> code + deviation * chance.nextGaussian();
  }

  @ParameterizedTest
  @CsvSource({"1, 3, 0", "2, 6, 0", "3, 6, 1.5", "4, 10, 0.4"})
  void noiseGoesAndThePictureStays(long seed, double deviation, double pan) throws IOException {
    Kept real = painted(scene(seed, 12, pan), 12);
    Kept noisy = spoiled(real, noise(deviation));
    Kept made = mended(Mending.withoutNoise(1), noisy);
    assertThat(error(made, real)).isLessThan(error(noisy, real) / 8);
  }

  /** Less is left of the grain, the more is asked for; the picture is worse than as measured. */
  @Test
  void asMuchIsTakenOutAsIsAskedFor() throws IOException {
    Kept real = painted(scene(7, 8, 0), 8);
    Kept noisy = spoiled(real, noise(6));
    double little = error(mended(Mending.withoutNoise(0.5), noisy), noisy);
    double measured = error(mended(Mending.withoutNoise(1), noisy), noisy);
    double much = error(mended(Mending.withoutNoise(2), noisy), noisy);
    assertThat(little).isLessThan(measured);
    assertThat(measured).isLessThan(much);
  }

  @Test
  void picturesWithoutNoiseStayAsTheyAre() throws IOException {
    Kept real = painted(scene(5, 6, 0), 6);
    assertThat(error(mended(Mending.withoutNoise(1), real), real)).isZero();
    Kept short3 = painted(scene(5, 3, 1), 3);
    assertThat(error(mended(Mending.withoutNoise(1), short3), short3)).isZero();
  }

  @ParameterizedTest
  @ValueSource(doubles = {2, 5, 11})
  void noiseIsMeasured(double deviation) {
    Kept noisy = spoiled(painted(scene(6, 4, 0), 4), noise(deviation));
    CosineShrink.Plane[] planes =
        noisy.frames.stream()
            .map(f -> new CosineShrink.Plane(f.data(), 0, f.width() * f.height()))
            .toArray(CosineShrink.Plane[]::new);
    double found = new CosineShrink(PaintedScene.WIDE, PaintedScene.HIGH, 4).noise(planes);
    assertThat(found).isCloseTo(deviation, within(0.15 * deviation));
  }

  /** Each block of eight loses what its cosines have of less than 12 codes, as compression does. */
  private static Kept compressed(Kept clip) {
    List<Frame> all = new ArrayList<>();
    for (Frame frame : clip.frames) {
      Frame made = copy(frame);
      CosineShrink.Plane plane =
          new CosineShrink.Plane(frame.data(), 0, frame.width() * frame.height());
      new CosineShrink(frame.width(), frame.height() / 8 * 8, 8).add(24, plane);
      plane.write(made.data());
      all.add(made);
    }
    return new Kept(all);
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3})
  void blocksGo(long seed) throws IOException {
    Kept real = painted(new PaintedScene(seed, 2, 0, 0, null, 2.5), 2);
    Kept hard = compressed(real);
    Kept made = mended(Mending.withoutBlocks(1), hard);
    assertThat(error(made, hard)).as("something was done").isPositive();
    assertThat(steps(made)).isLessThan(1 + (steps(hard) - 1) / 2);
  }

  /** How much larger steps at the edges of blocks are than in their middles. */
  private static double steps(Kept clip) {
    double edges = 0;
    double inside = 0;
    for (Frame frame : clip.frames) {
      for (int y = 0; y < frame.height(); y++) {
        for (int x = 8; x < frame.width(); x++) {
          int at = y * frame.width() + x;
          int step = Math.abs((frame.data()[at] & 0xff) - (frame.data()[at - 1] & 0xff));
          edges += x % 8 == 0 ? step : 0;
          inside += x % 8 == 4 ? step : 0;
        }
      }
    }
    return edges / inside;
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3})
  void lightThatFlickersIsEvenWhateverItsCurve(long seed) throws IOException {
    Kept real = painted(scene(seed, 36, 0.7), 36);
    Fault gain = (n, code) -> 16 + (code - 16) * (n % 4 < 2 ? 1.12 : 0.88);
    Fault gamma = (n, code) -> 16 + 219 * Math.pow((code - 16) / 219, n % 3 == 0 ? 0.85 : 1.08);
    for (Fault fault : List.of(gain, gamma)) {
      Kept flickers = spoiled(real, fault);
      assertThat(change(mended(Mending.evenLight(List.of(), RATE), flickers)))
          .isLessThan(change(flickers) / 5);
    }
  }

  /** How much the mean luma changes from picture to picture. */
  private static double change(Kept clip) {
    double sum = 0;
    for (int i = 1; i < clip.frames.size(); i++) {
      sum += Math.abs(mean(clip.frames.get(i)) - mean(clip.frames.get(i - 1)));
    }
    return sum;
  }

  private static double mean(Frame frame) {
    double sum = 0;
    for (int at = 0; at < frame.width() * frame.height(); at++) {
      sum += frame.data()[at] & 0xff;
    }
    return sum / (frame.width() * frame.height());
  }

  @Test
  void lightIsNotEvenedAcrossAJumpNorWhereItGoesSlowly() throws IOException {
    Kept steady = painted(scene(4, 1, 0), 1);
    List<Frame> twice = new ArrayList<>();
    for (int i = 0; i < 24; i++) {
      twice.add(copy(steady.frames.get(0)));
    }
    Kept jumps = spoiled(new Kept(twice), (n, code) -> n < 12 ? code : code + 30);
    Kept made = mended(Mending.evenLight(List.of(12), RATE), jumps);
    assertThat(error(made, jumps)).isLessThan(0.5);

    Kept dawn = spoiled(new Kept(twice), (n, code) -> code + n);
    assertThat(mean(mended(Mending.evenLight(List.of(), RATE), dawn).frames.get(12)))
        .isCloseTo(mean(dawn.frames.get(12)), within(0.5));
  }

  @Test
  void picturesThatRepeatAreDrawnAlongTheMotionAndOthersStay() throws IOException {
    Kept real = painted(new PaintedScene(2, 24, 1.5, 0, null, 0.4), 24);
    List<Frame> pairs = new ArrayList<>();
    for (int i = 0; i < 24; i++) {
      pairs.add(real.frames.get(i / 2 * 2));
    }
    Kept twelve = new Kept(pairs);
    Kept made = mended(Mending.withoutRepeats(RATE), twelve);
    for (int i = 0; i < 22; i++) {
      double off = error(made.frames.get(i), real.frames.get(i));
      if (i % 2 == 0) {
        assertThat(off).as("picture %d stays", i).isZero();
      } else {
        double was = error(twelve.frames.get(i), real.frames.get(i));
        assertThat(off).as("picture %d", i).isLessThan(was / 3);
      }
    }
    RepeatFinder finder = new RepeatFinder(RATE);
    made.each((n, f) -> finder.add(f.width(), f.height(), SmallLuma.of(f, f.width(), f.height())));
    assertThat(finder.repeats()).as("but the last, which nothing comes after").hasSizeLessThan(2);
  }

  @Test
  void aJumpBecomesAQuickMove() throws IOException {
    Kept real = painted(scene(3, 30, 1), 30);
    List<Frame> all = new ArrayList<>(real.frames.subList(0, 10));
    all.addAll(real.frames.subList(18, 30));
    Kept jumps = new Kept(all);
    Kept made = mended(Mending.bridged(List.of(10), RATE), jumps);
    for (int i = 0; i < all.size(); i++) {
      boolean bridge = i >= 7 && i < 13;
      assertThat(error(made.frames.get(i), jumps.frames.get(i)) > 0).isEqualTo(bridge);
    }
    double largest = 0;
    for (int i = 1; i < all.size(); i++) {
      largest = Math.max(largest, error(made.frames.get(i), made.frames.get(i - 1)));
    }
    assertThat(largest).isLessThan(error(jumps.frames.get(10), jumps.frames.get(9)) / 2);
  }

  /** Of each clip the longest piece without a jump is kept, picture by picture. */
  @Test
  void jumpsAreCutOut() throws IOException {
    Kept real = painted(scene(5, 12, 1), 12);
    for (List<Integer> jumps :
        List.of(List.of(3), List.of(9), List.of(4, 9), List.of(0, 12), List.of(6))) {
      Mending cut = Mending.withoutJumps(jumps, 12);
      FrameRange kept = cut.kept().orElseThrow();
      assertThat(jumps).as("inside " + kept).noneMatch(j -> kept.start() < j && j < kept.end());
      assertThat(kept.length()).isGreaterThanOrEqualTo(12 / (jumps.size() + 1));
      Kept made = mended(cut, real);
      assertThat(made.frames).hasSize((int) kept.length());
      for (int i = 0; i < made.frames.size(); i++) {
        assertThat(made.frames.get(i).data())
            .isEqualTo(real.frames.get((int) kept.start() + i).data());
      }
    }
    assertThat(Mending.withoutJumps(List.of(6), 12).kept()).contains(new FrameRange(0, 6));
    assertThat(Mending.bridged(List.of(6), RATE).kept()).isEmpty();
  }

  @Test
  void aBridgeThatHasNoOtherSideIsNotBuilt() throws IOException {
    Kept real = painted(scene(3, 12, 1), 12);
    assertThat(error(mended(Mending.bridged(List.of(11), RATE), real), real)).isZero();
  }
}
