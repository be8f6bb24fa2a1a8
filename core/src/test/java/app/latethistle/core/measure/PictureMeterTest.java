package app.latethistle.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.Refused;
import app.latethistle.core.story.CameraMove;
import app.latethistle.core.take.Box;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.util.List;
import java.util.function.IntFunction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Takes of a scene whose camera is known, measured whole. */
class PictureMeterTest {
  private static final double RATE = 24;

  private static TakeFacts measured(int frames, IntFunction<byte[]> picture) {
    PictureMeter meter = new PictureMeter(Scene.WIDTH, Scene.HEIGHT, RATE);
    for (int i = 0; i < frames; i++) {
      meter.add(picture.apply(i));
    }
    return meter.finish().facts();
  }

  /** A camera that moves evenly to where it is in the end. */
  private static Travel part(Travel whole, double share) {
    return new Travel(
        whole.right() * share,
        whole.down() * share,
        Math.pow(whole.zoom(), share),
        whole.turn() * share);
  }

  @ParameterizedTest
  @CsvSource({
    "1, 0.1, 0, 1, 0, PAN_LEFT",
    "2, -0.08, 0, 1, 0, PAN_RIGHT",
    "3, 0, 0.09, 1, 0, TILT_UP",
    "4, 0, -0.06, 1, 0, TILT_DOWN",
    "5, 0, 0, 1.15, 0, PUSH_IN",
    "6, 0, 0, 0.9, 0, PULL_OUT",
    "7, 0.06, 0.03, 1, 0, PAN_LEFT",
    "8, 0.02, 0, 1.12, 0, PUSH_IN",
    "9, 0, 0, 1, 0, STILL"
  })
  void findsTheMoveThatWasMade(
      long seed, double right, double down, double zoom, double turn, CameraMove asked) {
    Scene scene = new Scene(seed);
    Travel done = new Travel(right, down, zoom, turn);
    TakeFacts facts = measured(32, i -> scene.seen(part(done, i / 31.0)));
    assertThat(facts.travel().right()).isCloseTo(right, within(0.006));
    assertThat(facts.travel().down()).isCloseTo(down, within(0.006));
    assertThat(facts.travel().zoom()).isCloseTo(zoom, within(0.012));
    assertThat(facts.travel().turn()).isCloseTo(turn, within(0.4));
    MoveVerdict verdict = MoveVerdict.of(asked, facts.travel());
    assertThat(verdict.match()).isEqualTo(MoveVerdict.Match.AS_ASKED);
    assertThat(verdict.measured()).isEqualTo(asked.label());
    assertThat(facts.jumps()).isEmpty();
    assertThat(facts.warps()).isEmpty();
  }

  @Test
  void aTurnIsFoundAndCalledARoll() {
    Scene scene = new Scene(11);
    Travel done = new Travel(0, 0, 1, 9);
    TakeFacts facts = measured(30, i -> scene.seen(part(done, i / 29.0)));
    assertThat(facts.travel().turn()).isCloseTo(9, within(0.5));
    assertThat(MoveVerdict.name(facts.travel())).isEqualTo("roll");
  }

  @Test
  void motionIsHowFarEachPictureMoved() {
    Scene scene = new Scene(12);
    TakeFacts facts =
        measured(20, i -> scene.seen(new Travel(i < 10 ? 0 : 0.01 * (i - 9), 0, 1, 0)));
    assertThat(facts.motion()).hasSize(20);
    assertThat(facts.motion().subList(0, 10)).allMatch(m -> m < 0.5);
    assertThat(facts.motion().subList(10, 20)).allMatch(m -> Math.abs(m - 10) < 1);
  }

  @Test
  void aJumpIsTheFirstFrameOfTheOtherPictureAndMovesNoCamera() {
    Scene one = new Scene(13);
    Scene other = new Scene(14);
    Travel done = new Travel(0.1, 0, 1, 0);
    TakeFacts facts = measured(48, i -> (i < 30 ? one : other).seen(part(done, i / 47.0)));
    assertThat(facts.jumps()).containsExactly(30);
    assertThat(facts.travel().right()).isCloseTo(0.1, within(0.012));
    assertThat(facts.usable()).isEqualTo(new FrameRange(0, 30));
  }

  @Test
  void aFreezeBlackAndWhatIsLeft() {
    Scene scene = new Scene(15);
    // It moves for 20 frames, stands for 18, moves for 26, and is black for 6.
    TakeFacts facts =
        measured(
            70,
            i -> {
              int moved = i < 20 ? i : i < 38 ? 20 : i - 17;
              return i >= 64 ? Scene.plain(5) : scene.seen(new Travel(0.004 * moved, 0, 1, 0));
            });
    assertThat(facts.frozen()).hasSize(1);
    assertThat(facts.frozen().get(0).start()).isBetween(19L, 21L);
    assertThat(facts.frozen().get(0).end()).isBetween(37L, 39L);
    assertThat(facts.black()).containsExactly(new FrameRange(64, 70));
    assertThat(facts.usable().start()).isEqualTo(facts.frozen().get(0).end());
    assertThat(facts.usable().end()).isEqualTo(64);
  }

  @Test
  void aDarkPictureWithALightInItIsNotBlack() {
    byte[] dark = Scene.plain(5);
    for (int y = 60; y < 90; y++) {
      java.util.Arrays.fill(dark, y * Scene.WIDTH + 100, y * Scene.WIDTH + 150, (byte) 200);
    }
    assertThat(measured(12, i -> dark).black()).isEmpty();
    assertThat(measured(12, i -> Scene.plain(5)).black()).hasSize(1);
    // Two frames of black at 24 a second are shorter than a tenth of a second.
    Scene scene = new Scene(16);
    TakeFacts blink =
        measured(
            24,
            i -> i == 10 || i == 11 ? Scene.plain(0) : scene.seen(new Travel(0.003 * i, 0, 1, 0)));
    assertThat(blink.black()).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({"1, 24", "2, 12", "3, 8"})
  void theRealRateLeavesRepeatsOut(int each, double real) {
    Scene scene = new Scene(17);
    TakeFacts facts = measured(72, i -> scene.seen(new Travel(0.005 * (i / each), 0, 1, 0)));
    assertThat(facts.rate()).isEqualTo(RATE);
    assertThat(facts.realRate()).isCloseTo(real, within(0.6));
    assertThat(facts.repeated()).isEqualTo(72 - 72 / each);
    assertThat(facts.jumps()).isEmpty();
  }

  @Test
  void flickerIsFoundAndIsNoJump() {
    Scene scene = new Scene(18);
    TakeFacts facts =
        measured(
            72,
            i -> {
              byte[] plane = scene.seen(new Travel(0.002 * i, 0, 1, 0));
              if (i >= 24 && i < 48 && i % 4 == 0) {
                for (int k = 0; k < plane.length; k++) {
                  plane[k] = (byte) Math.min(255, (plane[k] & 0xff) + 25);
                }
              }
              return plane;
            });
    assertThat(facts.flicker()).hasSize(1);
    assertThat(facts.flicker().get(0).start()).isEqualTo(24);
    assertThat(facts.flicker().get(0).end()).isBetween(45L, 47L);
    assertThat(facts.jumps()).isEmpty();
  }

  @Test
  void theSoftestPictureIsTheBlurredOne() {
    Scene scene = new Scene(19);
    TakeFacts facts =
        measured(
            24,
            i -> {
              byte[] plane = scene.seen(new Travel(0.002 * i, 0, 1, 0));
              return i >= 11 && i <= 13 ? blurred(plane) : plane;
            });
    assertThat(facts.softest()).isEqualTo(12);
    assertThat(facts.sharpness()).isBetween(0.0, 1.0);
  }

  private static byte[] blurred(byte[] plane) {
    Gray g = Gray.of(Scene.WIDTH, Scene.HEIGHT, plane);
    for (int i = 0; i < 12; i++) {
      g = g.smooth();
    }
    byte[] out = new byte[plane.length];
    for (int i = 0; i < out.length; i++) {
      out[i] = (byte) Math.round(g.data[i]);
    }
    return out;
  }

  @Test
  void aMarkInACornerIsFoundWhereItStandsWhileThePictureMoves() {
    Scene scene = new Scene(20);
    Travel done = new Travel(0.15, 0, 1, 0);
    Box mark = new Box(0.84, 0.86, 0.96, 0.94);
    IntFunction<byte[]> marked = i -> framed(scene.seen(part(done, i / 47.0)), mark);
    List<Box> found = measured(48, marked).marks();
    assertThat(found).hasSize(1);
    assertThat(found.get(0).overlap(mark)).isGreaterThan(0.5);
    assertThat(measured(48, i -> scene.seen(part(done, i / 47.0))).marks()).isEmpty();
  }

  @Test
  void aMarkThatSeveralTakesShareIsFoundThoughNoneOfThemMoves() {
    Box mark = new Box(0.05, 0.06, 0.17, 0.15);
    List<CornerEdges> takes =
        List.of(21L, 22L, 23L, 24L).stream()
            .map(
                seed -> {
                  byte[] plane = framed(new Scene(seed).seen(Travel.NONE), mark);
                  PictureMeter meter = new PictureMeter(Scene.WIDTH, Scene.HEIGHT, RATE);
                  for (int i = 0; i < 24; i++) {
                    meter.add(plane);
                  }
                  PictureMeter.Measured measured = meter.finish();
                  assertThat(measured.facts().marks()).as("one alone tells nothing").isEmpty();
                  return measured.edges();
                })
            .toList();
    List<Box> shared = CornerEdges.shared(takes);
    assertThat(shared).hasSize(1);
    assertThat(shared.get(0).overlap(mark)).isGreaterThan(0.4);
    assertThat(CornerEdges.shared(takes.subList(0, 2))).as("two are too few").isEmpty();
    assertThat(CornerEdges.shared(List.of())).isEmpty();
  }

  /** A chequered sign. */
  private static byte[] framed(byte[] plane, Box box) {
    int left = (int) Math.round(box.left() * Scene.WIDTH);
    int right = (int) Math.round(box.right() * Scene.WIDTH);
    int top = (int) Math.round(box.top() * Scene.HEIGHT);
    int bottom = (int) Math.round(box.bottom() * Scene.HEIGHT);
    for (int y = top; y < bottom; y++) {
      for (int x = left; x < right; x++) {
        plane[y * Scene.WIDTH + x] = (byte) (((x - left) / 5 + (y - top) / 5) % 2 == 0 ? 250 : 10);
      }
    }
    return plane;
  }

  @Test
  void whatCannotBeMeasuredIsRefused() {
    assertThatThrownBy(() -> new PictureMeter(31, 180, RATE))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("31x180");
    assertThatThrownBy(() -> new PictureMeter(320, 31, RATE)).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> new PictureMeter(320, 180, 0)).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> new PictureMeter(32, 32, RATE).finish())
        .isInstanceOf(IllegalStateException.class);
  }

  @Test
  void theUsablePartAtAnotherRate() {
    Scene one = new Scene(25);
    Scene other = new Scene(26);
    // A jump at frame 10 of 24: what follows it is longer.
    TakeFacts facts =
        measured(24, i -> (i < 10 ? one : other).seen(new Travel(0.004 * i, 0, 1, 0)));
    assertThat(facts.usable()).isEqualTo(new FrameRange(10, 24));
    FrameRate film = FrameRate.of(48, 1);
    assertThat(facts.usableAt(film, 48)).isEqualTo(new FrameRange(20, 48));
    // Where less than two fifths of a take are usable, the measure is not believed.
    assertThat(facts.usableAt(film, 100)).isEqualTo(new FrameRange(0, 100));
  }
}
