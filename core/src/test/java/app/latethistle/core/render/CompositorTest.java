package app.latethistle.core.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIOException;

import app.latethistle.core.film.Film;
import app.latethistle.core.film.Films;
import app.latethistle.core.film.Hits;
import app.latethistle.core.film.Run;
import app.latethistle.core.grade.ColourChange;
import app.latethistle.core.grade.ColourTreatment;
import app.latethistle.core.grade.GradeTable;
import app.latethistle.core.grade.Grading;
import app.latethistle.core.look.Basics;
import app.latethistle.core.look.ColourRange;
import app.latethistle.core.look.Correction;
import app.latethistle.core.look.Dial;
import app.latethistle.core.look.Easing;
import app.latethistle.core.look.EndFade;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.FramingPath;
import app.latethistle.core.look.Lie;
import app.latethistle.core.look.Mask;
import app.latethistle.core.look.Matte;
import app.latethistle.core.look.PicturePart;
import app.latethistle.core.look.Treatment;
import app.latethistle.core.look.TreatmentKind;
import app.latethistle.core.look.Treatments;
import app.latethistle.core.look.View;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class CompositorTest {
  private static Layer.Footage footage(String media, long in, long material, Run run, long length) {
    return new Layer.Footage(media, material, in, run, length, Framing.FILL);
  }

  private static Layer.Part part(long start, long end, Layer layer) {
    return new Layer.Part(new FrameRange(start, end), layer);
  }

  private static Program program(Layer root, long length) {
    return new Program(root, length, FrameRate.FPS_24, Drawn.WIDTH, Drawn.HEIGHT);
  }

  private static List<byte[]> frames(Program program, PictureSource source, FrameRange range)
      throws IOException {
    List<byte[]> frames = new ArrayList<>();
    new Compositor(program, source).draw(range, frame -> frames.add(frame.data().clone()));
    return frames;
  }

  private static List<Integer> corner(Program program, PictureSource source, FrameRange range)
      throws IOException {
    return frames(program, source, range).stream().map(data -> data[0] & 255).toList();
  }

  /** A take of medium "a" from frame 10 of 16 on, drawn for 8 frames; what frames are seen. */
  private static List<Integer> seen(Run run) throws IOException {
    Program program =
        program(new Layer.Sequence(List.of(part(0, 8, footage("a", 10, 16, run, 8)))), 8);
    return corner(program, Drawn.flat(), new FrameRange(0, 8)).stream()
        .map(luma -> luma - 40)
        .toList();
  }

  private static List<Integer> twice(int... frames) {
    return IntStream.of(frames).map(f -> 2 * f).boxed().toList();
  }

  @Test
  void shotsFollowEachOtherAndHoldTheirLastFrame() throws IOException {
    Program program =
        program(
            new Layer.Sequence(
                List.of(
                    part(0, 3, footage("a", 7, 200, Run.PLAIN, 3)),
                    part(3, 6, footage("b", 18, 20, Run.PLAIN, 3)))),
            8);
    Drawn source = Drawn.flat();
    assertThat(corner(program, source, new FrameRange(1, 8)))
        .containsExactly(56, 58, 176, 178, 178, 16, 16);
    assertThat(source.open).isZero();
  }

  @Test
  void aTakeRunsAsItIsTold() throws IOException {
    assertThat(seen(Run.at(50))).isEqualTo(twice(10, 11, 11, 12, 12, 13, 13, 14));
    assertThat(seen(Run.at(200))).isEqualTo(twice(10, 12, 14, 15, 15, 15, 15, 15));
    assertThat(seen(Run.PLAIN.withWay(Run.Way.HOLD))).containsOnly(20);
    assertThat(seen(Run.at(50).withWay(Run.Way.REVERSE)))
        .isEqualTo(twice(14, 14, 13, 13, 12, 12, 11, 11));
    assertThat(seen(Run.PLAIN.withWay(Run.Way.BACK_AND_FORTH)))
        .isEqualTo(twice(10, 11, 12, 13, 14, 15, 14, 13));
    // From a quarter to 175 %: the same frames in all as at 100 %, late.
    assertThat(seen(new Run(Run.Way.FORWARD, 25, 175, Run.Between.NEAREST)))
        .isEqualTo(twice(10, 10, 11, 12, 13, 14, 15, 15));
    // The second half of that run: it began four frames before the shot.
    assertThat(seen(new Run(Run.Way.FORWARD, 25, 175, Run.Between.NEAREST, 8, 4)).subList(0, 3))
        .isEqualTo(twice(13, 14, 15));
  }

  @Test
  void framesBetweenAreMixed() throws IOException {
    // A frame is two brighter than the one before; half-way it is one brighter.
    assertThat(seen(Run.at(50).withBetween(Run.Between.BLENDED)))
        .containsExactly(20, 21, 22, 23, 24, 25, 26, 27);
    assertThat(seen(Run.at(25).withBetween(Run.Between.BLENDED)))
        .containsExactly(20, 21, 21, 22, 22, 23, 23, 24);
  }

  @Test
  void whatMovesIsDrawnWhereItWouldBe() throws IOException {
    Run half = Run.at(50);
    Program moving = program(footage("a", 4, 40, half.withBetween(Run.Between.MOTION), 20), 20);
    Program mixed = program(footage("a", 4, 40, half.withBetween(Run.Between.BLENDED), 20), 20);
    byte[] truth = new byte[Drawn.WIDTH];
    for (int x = 0; x < truth.length; x++) {
      // Frame 9 of the film is half-way from frame 8 to frame 9 of the take.
      double away = (x - 6 - 2 * 8.5) / 4.0;
      truth[x] = (byte) (60 + (int) Math.round(150 * Math.exp(-away * away)));
    }
    FrameRange range = new FrameRange(9, 10);
    double byMotion = error(frames(moving, Drawn.bar(), range).get(0), truth);
    double byMixing = error(frames(mixed, Drawn.bar(), range).get(0), truth);
    assertThat(byMotion).isLessThan(byMixing / 2);
  }

  /** Mean squared error of the middle row. */
  private static double error(byte[] frame, byte[] truth) {
    double sum = 0;
    for (int x = 0; x < truth.length; x++) {
      int is = frame[Drawn.HEIGHT / 2 * Drawn.WIDTH + x] & 255;
      sum += Math.pow(is - (truth[x] & 255), 2);
    }
    return sum / truth.length;
  }

  @Test
  void whatLiesOverTheCutIsSeenOverIt() throws IOException {
    Program program =
        program(
            new Layer.Stack(
                new Layer.Sequence(List.of(part(0, 6, footage("a", 0, 200, Run.PLAIN, 6)))),
                List.of(
                    new Layer.Over(
                        part(2, 4, footage("b", 0, 200, Run.PLAIN, 2)), Lie.WHOLE.withOpacity(50)),
                    new Layer.Over(
                        part(3, 5, footage("b", 9, 200, Run.PLAIN, 2)),
                        Lie.WHOLE.at(500, 750, 750)))),
            6);
    List<byte[]> frames = frames(program, Drawn.flat(), new FrameRange(0, 6));
    assertThat(frames.stream().map(d -> d[0] & 255)).containsExactly(40, 42, 92, 94, 48, 50);
    int last = Drawn.WIDTH * Drawn.HEIGHT - 1;
    assertThat(frames.stream().map(d -> d[last] & 255)).containsExactly(40, 42, 92, 158, 160, 50);
  }

  @Test
  void whatIsCoveredWholeIsNotDrawnButGoesOnUnderIt() throws IOException {
    Program program =
        program(
            new Layer.Stack(
                new Layer.Sequence(List.of(part(0, 9, footage("a", 0, 200, Run.PLAIN, 9)))),
                List.of(new Layer.Over(part(2, 6, footage("b", 0, 200, Run.PLAIN, 4)), Lie.WHOLE))),
            9);
    assertThat(corner(program, Drawn.flat(), new FrameRange(0, 9)))
        .containsExactly(40, 42, 140, 142, 144, 146, 52, 54, 56);
  }

  /** Of medium "b" the right half is the subject, by the luma of a medium of its own. */
  @Test
  void theSubjectOfWhatLiesOverStaysOrWhatIsBehindIt() throws IOException {
    Drawn source =
        new Drawn(
            (media, frame, x, y) ->
                switch (media) {
                  case "subject" -> x < 32 ? 16 : 235;
                  case "b" -> 140;
                  default -> 40;
                });
    assertThat(besides(source, Matte.Part.SUBJECT)).containsExactly(40, 140);
    assertThat(besides(source, Matte.Part.BACKGROUND)).containsExactly(140, 40);
    assertThat(source.open).isZero();
  }

  /** Luma at the left and at the right of a film with a part of "b" over "a". */
  private static List<Integer> besides(Drawn source, Matte.Part kept) throws IOException {
    Layer.Footage over = footage("b", 3, 200, Run.PLAIN, 4);
    Layer root =
        new Layer.Stack(
            new Layer.Sequence(List.of(part(0, 4, footage("a", 0, 200, Run.PLAIN, 4)))),
            List.of(
                new Layer.Over(
                    part(
                        0,
                        4,
                        new Layer.Matted(
                            over, Matte.NONE.withPart(kept), Optional.of(over.of("subject")))),
                    Lie.WHOLE)));
    byte[] luma = frames(program(root, 4), source, new FrameRange(2, 3)).get(0);
    return List.of(luma[10] & 255, luma[50] & 255);
  }

  /** A range of all colours, a stop brighter, in a part of the picture of medium "a". */
  private static Layer brighter(PicturePart where, Framing framing, Optional<String> subject) {
    ColourRange range = ColourRange.ofAll(where, new Basics(100, 0, 0, 0, 0));
    Layer.Footage shot = new Layer.Footage("a", 200, 0, Run.PLAIN, 9, framing);
    return new Layer.Corrected(
        shot,
        Correction.NONE.withRanges(List.of(range)),
        Optional.of(new Layer.Parts(PictureShape.of(1280, 720), subject.map(shot::of))));
  }

  /** Luma at the left, in the middle and at the right. */
  private static List<Integer> across(Layer layer, Drawn source) throws IOException {
    Layer root = new Layer.Sequence(List.of(part(0, 9, layer)));
    byte[] luma = frames(program(root, 9), source, new FrameRange(0, 1)).get(0);
    int row = 18 * Drawn.WIDTH;
    return List.of(luma[row + 4] & 255, luma[row + 32] & 255, luma[row + 60] & 255);
  }

  private static final Drawn GREY = new Drawn((media, frame, x, y) -> 100);

  @Test
  void aRangeInAPartOfThePictureIsCorrectedThereAlone() throws IOException {
    Mask left = box(0, 0, 500, 1000, false);
    int bright = across(brighter(PicturePart.WHOLE, Framing.FILL, Optional.empty()), GREY).get(0);
    // Nothing is meant in the whole picture: what is not of a part is of the shot's own table.
    assertThat(bright).isGreaterThan(100);
    assertThat(across(brighter(PicturePart.in(left), Framing.FILL, Optional.empty()), GREY))
        .element(0)
        .isEqualTo(bright);
    assertThat(across(brighter(PicturePart.in(left), Framing.FILL, Optional.empty()), GREY))
        .element(2)
        .isEqualTo(100);
    Mask outside = box(0, 0, 500, 1000, true);
    assertThat(across(brighter(PicturePart.in(outside), Framing.FILL, Optional.empty()), GREY))
        .element(2)
        .isEqualTo(bright);
    Mask middle = box(250, 0, 1000, 1000, false);
    PicturePart both = PicturePart.in(left).and(middle);
    assertThat(across(brighter(both, Framing.FILL, Optional.empty()), GREY).get(0)).isEqualTo(100);
  }

  /** All that is of colour alone is worked out together and rounded once. */
  @Test
  void aCorrectionAndAFinishAreOneTable() throws IOException {
    Correction correction = Correction.of(new Basics(40, 10, -20, 5, 30));
    Treatments finish =
        new Treatments(
            List.of(
                Treatment.of(TreatmentKind.WASH, Dial.at(20), Dial.at(0)),
                Treatment.of(TreatmentKind.FADED, Dial.at(40))));
    Layer.Footage shot = footage("a", 0, 200, Run.PLAIN, 6);
    Layer cut = new Layer.Sequence(List.of(part(0, 6, new Layer.Corrected(shot, correction))));
    Hits none = new Hits(Films.resolved(Films.film(new Random(3))));
    FrameRange range = new FrameRange(0, 6);
    Layer finished =
        new Layer.Treated(
            cut,
            range,
            finish.list().stream().map(t -> Treat.of(t, none, range)).toList(),
            new Layer.Chance(0, 0));
    ColourChange all = Grading.of(correction).then(ColourTreatment.of(finish));
    for (int f = 0; f < 6; f++) {
      FrameRange one = new FrameRange(f, f + 1);
      byte[] plain = frames(program(cut(shot), 6), Drawn.noise(), one).get(0);
      Frame expected = new Frame(Drawn.WIDTH, Drawn.HEIGHT, plain);
      GradeTable.of(all).draw(expected, expected);
      assertThat(frames(program(finished, 6), Drawn.noise(), one).get(0))
          .isEqualTo(expected.data());
    }
  }

  private static Layer cut(Layer.Footage shot) {
    return new Layer.Sequence(List.of(part(0, shot.length(), shot)));
  }

  /** The camera sees the left half of the take, which a mask fills. */
  @Test
  void masksOfARangeLieOnTheTakeHoweverItIsFramed() throws IOException {
    View half = new View(2000, -2500, 0, 0);
    Framing near = Framing.along(FramingPath.of(half, half, Easing.EVEN));
    PicturePart left = PicturePart.in(box(0, 0, 500, 1000, false));
    List<Integer> seen = across(brighter(left, near, Optional.empty()), GREY);
    assertThat(seen.get(0)).isGreaterThan(100).isEqualTo(seen.get(1));
    PicturePart right = PicturePart.in(box(500, 0, 1000, 1000, false));
    assertThat(across(brighter(right, near, Optional.empty()), GREY)).startsWith(100, 100);
  }

  @Test
  void aRangeIsMeantOfTheSubjectOrOfWhatIsBehindIt() throws IOException {
    Drawn source =
        new Drawn((media, frame, x, y) -> media.equals("cut") ? (x < 32 ? 16 : 235) : 100);
    PicturePart subject = new PicturePart(List.of(), Matte.Part.SUBJECT);
    PicturePart behind = new PicturePart(List.of(), Matte.Part.BACKGROUND);
    List<Integer> in = across(brighter(subject, Framing.FILL, Optional.of("cut")), source);
    List<Integer> out = across(brighter(behind, Framing.FILL, Optional.of("cut")), source);
    assertThat(in.get(0)).isEqualTo(100).isEqualTo(out.get(2));
    assertThat(in.get(2)).isGreaterThan(100).isEqualTo(out.get(0));
    assertThat(source.open).isZero();
  }

  private static Mask box(int left, int top, int right, int bottom, boolean outside) {
    return new Mask(
        Mask.Kind.RECTANGLE,
        List.of(new Mask.Spot(left, top), new Mask.Spot(right, bottom)),
        /* softness= */ 0,
        outside);
  }

  @Test
  void theEndFadesToBlackOnARaisedCosine() throws IOException {
    Layer shot = new Layer.Sequence(List.of(part(0, 20, footage("a", 30, 200, Run.PLAIN, 20))));
    Program program = program(new Layer.Faded(shot, new EndFade(10), 20), 20);
    List<Integer> seen = corner(program, Drawn.flat(), new FrameRange(0, 20));
    for (int f = 0; f < 20; f++) {
      double gain = f < 10 ? 1 : 0.5 + 0.5 * Math.cos(Math.PI * (f - 10) / 10);
      assertThat(seen.get(f)).isEqualTo((int) Math.round(16 + (40 + 60 + 2 * f - 16) * gain));
    }
  }

  /** Films of every kind of run, with overlays, drawn frame by frame and in one go. */
  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void anyFrameAloneIsTheFrameInItsTurn(long seed) throws IOException {
    Random random = new Random(seed);
    Program program = RandomPrograms.of(random);
    long from = random.nextLong(Math.max(1, program.length() - 40));
    FrameRange range = new FrameRange(from, Math.min(program.length(), from + 40));
    List<byte[]> inTurn = frames(program, Drawn.noise(), range);
    for (long f = range.start(); f < range.end(); f += 1 + random.nextInt(4)) {
      byte[] alone = frames(program, Drawn.noise(), new FrameRange(f, f + 1)).get(0);
      assertThat(alone).as("frame %d", f).isEqualTo(inTurn.get((int) (f - range.start())));
    }
  }

  @Test
  void framesThatComeDrawnAreShownAsTheyCome() throws IOException {
    Film film = Films.film(new Random(5));
    List<PictureSource.Wish> wishes = new ArrayList<>();
    PictureSource drawing =
        (media, frames, wish) -> {
          wish.ifPresent(wishes::add);
          return new Reader(64, 36);
        };
    Program program = RandomPrograms.of(film, 64, 36);
    List<Integer> seen = corner(program, drawing, new FrameRange(0, 4));
    assertThat(seen).containsExactly(77, 77, 77, 77);
    assertThat(wishes).isNotEmpty().allMatch(w -> w.width() == 64 && w.height() == 36);
  }

  /** Frames that are drawn already, all alike. */
  private record Reader(int width, int height) implements PictureSource.Reader {
    @Override
    public PictureShape shape() {
      return PictureShape.of(width, height);
    }

    @Override
    public boolean isDrawn() {
      return true;
    }

    @Override
    public Frame next() {
      Frame frame = new Frame(width, height);
      Arrays.fill(frame.data(), (byte) 77);
      return frame;
    }

    @Override
    public void close() {}
  }

  @Test
  void aSourceThatFailsIsToldAndAllIsClosed() {
    Drawn source = Drawn.flat();
    PictureSource failing =
        (media, frames, wish) -> {
          if (media.equals("b")) {
            throw new IOException("b is not there");
          }
          return source.open(media, frames, wish);
        };
    Program program =
        program(
            new Layer.Sequence(
                List.of(
                    part(0, 30, footage("a", 0, 200, Run.PLAIN, 30)),
                    part(30, 60, footage("b", 0, 200, Run.PLAIN, 30)))),
            60);
    assertThatIOException()
        .isThrownBy(() -> frames(program, failing, new FrameRange(0, 60)))
        .withMessage("b is not there");
    assertThat(source.open).isZero();
  }

  /** A wide clip laid over a square film as large as half of it: 32 by 18 pixels, and no bars. */
  @Test
  void aWholeClipThatIsLaidOverBringsNoBars() throws IOException {
    Layer base = new Layer.Sequence(List.of(part(0, 2, footage("a", 0, 200, Run.PLAIN, 2))));
    Layer.Footage over = new Layer.Footage("b", 200, 0, Run.PLAIN, 2, Framing.FIT);
    for (int down : new int[] {250, 500, 875}) {
      Layer root =
          new Layer.Stack(
              base, List.of(new Layer.Over(part(0, 2, over), Lie.WHOLE.at(500, 750, down))));
      Program square = new Program(root, 2, FrameRate.FPS_24, 64, 64);
      byte[] frame = frames(square, Drawn.flat(), new FrameRange(0, 1)).get(0);
      int top = Math.round((64 * down / 1000f - 9) / 2) * 2;
      for (int y = 0; y < 64; y++) {
        int left = frame[y * 64 + 20] & 255;
        int right = frame[y * 64 + 50] & 255;
        assertThat(left).isEqualTo(40);
        assertThat(right).as("line %d", y).isEqualTo(y >= top && y < top + 18 ? 140 : 40);
      }
    }
  }

  /** A part of a film is drawn as in the whole, at its own rate and another, and has its keys. */
  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void aPartIsDrawnAsInTheWhole(long seed) throws IOException {
    Random random = new Random(seed);
    Program whole = RandomPrograms.of(random);
    long start = random.nextLong(whole.length());
    FrameRange range =
        new FrameRange(start, Math.min(whole.length(), start + 1 + random.nextInt(12)));
    Program part = whole.part(range);
    assertThat(part.length()).isEqualTo(range.length());
    assertThat(frames(part, Drawn.noise(), new FrameRange(0, part.length())))
        .usingElementComparator(Arrays::compare)
        .containsExactlyElementsOf(frames(whole, Drawn.noise(), range));
    assertThat(part.key(new FrameRange(0, part.length()))).isEqualTo(whole.key(range));
    assertThat(part.cuts())
        .isEqualTo(whole.cuts().stream().map(c -> c - start).filter(c -> c > 0).toList());
    assertThat(part.plannedBlack())
        .containsExactlyElementsOf(
            whole.plannedBlack().stream()
                .flatMap(b -> b.intersect(range).stream())
                .map(b -> b.shift(-start))
                .toList());
    Program there = whole.at(FrameRate.of(30, 1));
    assertThat(part.at(FrameRate.of(30, 1)).length())
        .isBetween(range.length() * 30 / 24 - 1, range.length() * 30 / 24 + 1);
    assertThat(there.part(new FrameRange(0, 1)).length()).isEqualTo(1);
  }
}
