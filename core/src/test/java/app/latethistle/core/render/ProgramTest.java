package app.latethistle.core.render;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.film.Film;
import app.latethistle.core.film.Films;
import app.latethistle.core.film.Places;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.film.Run;
import app.latethistle.core.film.Tie;
import app.latethistle.core.film.Trims;
import app.latethistle.core.look.Basics;
import app.latethistle.core.look.ColourRange;
import app.latethistle.core.look.Correction;
import app.latethistle.core.look.Easing;
import app.latethistle.core.look.EndFade;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.Key;
import app.latethistle.core.look.Lie;
import app.latethistle.core.look.LiePath;
import app.latethistle.core.look.Mask;
import app.latethistle.core.look.Matte;
import app.latethistle.core.look.Mixing;
import app.latethistle.core.look.PicturePart;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class ProgramTest {
  private static Layer.Part part(long start, long end, String media, long in) {
    return new Layer.Part(
        new FrameRange(start, end),
        new Layer.Footage(media, 200, in, Run.PLAIN, end - start, Framing.FILL));
  }

  private static Program program(Layer root, long length) {
    return new Program(root, length, FrameRate.FPS_24, 64, 36);
  }

  private static Program program(Layer.Part... parts) {
    long end = parts[parts.length - 1].range().end();
    return program(new Layer.Sequence(List.of(parts)), end);
  }

  private static Set<String> keys(Program program) {
    return Segmentation.MASTER.of(program).stream().map(Segment::key).collect(Collectors.toSet());
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void segmentsCoverTheFilmOnceAndKeepTheirLengths(long seed) {
    Program program = RandomPrograms.of(new Random(seed));
    for (Segmentation way : List.of(Segmentation.MASTER, Segmentation.PREVIEW)) {
      long at = 0;
      for (Segment segment : way.of(program)) {
        assertThat(segment.range().start()).isEqualTo(at);
        at = segment.range().end();
        boolean whole = program.length() < program.rate().framesIn(way.shortest());
        assertThat(segment.range().length())
            .isGreaterThanOrEqualTo(whole ? 1 : program.rate().framesIn(way.shortest()))
            .isLessThanOrEqualTo(program.rate().framesIn(way.longest()));
      }
      assertThat(at).isEqualTo(program.length());
    }
  }

  @Test
  void longShotsBeginSegmentsAndShortOnesShareThem() {
    Program program =
        program(
            part(0, 100, "a", 0),
            part(100, 110, "b", 0),
            part(110, 120, "c", 0),
            part(120, 160, "d", 0),
            part(160, 480, "e", 0));
    List<Long> starts =
        Segmentation.MASTER.of(program).stream().map(s -> s.range().start()).toList();
    // One of the cuts at 100, 110 and 120 leads; a shot of 13 s is parted every 4 s.
    assertThat(starts).contains(0L, 160L, 256L, 352L).hasSize(5);
    assertThat(starts.get(1)).isIn(100L, 110L, 120L);
  }

  @Test
  void anEmptyFilmHasNoSegmentsAndAVeryShortOneHasOne() {
    assertThat(Segmentation.MASTER.of(program(new Layer.Sequence(List.of()), 0))).isEmpty();
    assertThat(Segmentation.MASTER.of(program(part(0, 3, "a", 0)))).hasSize(1);
    Program slow = new Program(program(part(0, 30, "a", 0)).root(), 30, FrameRate.of(1, 1), 64, 36);
    assertThat(Segmentation.MASTER.of(slow)).hasSizeGreaterThan(4);
  }

  /** What lies behind a change of length keeps its keys, but for the segments that it touches. */
  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#many")
  void aRippleInFrontLeavesKeysBehindIt(long seed) {
    Random random = new Random(seed);
    List<Layer.Part> parts = new ArrayList<>();
    long at = 0;
    for (int i = 0; i < 60; i++) {
      long length = 12L + random.nextInt(random.nextBoolean() ? 20 : 120);
      parts.add(part(at, at + length, "m" + random.nextInt(200), random.nextInt(80)));
      at += length;
    }
    Program before = program(parts.toArray(Layer.Part[]::new));
    int changed = 1 + random.nextInt(3);
    long by = 1L + random.nextInt(30);
    List<Layer.Part> moved = new ArrayList<>(parts);
    for (int i = changed; i < parts.size(); i++) {
      Layer.Part old = parts.get(i);
      long start = old.range().start() + (i == changed ? 0 : by);
      Layer.Footage footage = (Layer.Footage) old.layer();
      moved.set(i, part(start, old.range().end() + by, footage.media(), footage.in()));
    }
    Program after = program(moved.toArray(Layer.Part[]::new));
    Set<String> fresh = keys(after);
    fresh.removeAll(keys(before));
    assertThat(fresh.size()).isBetween(1, 4);
    Set<String> previewed =
        Segmentation.PREVIEW.of(after).stream().map(Segment::key).collect(Collectors.toSet());
    Segmentation.PREVIEW.of(before).forEach(s -> previewed.remove(s.key()));
    assertThat(previewed.size()).isBetween(1, 6);
  }

  /** A split changes no picture; only the segment that begins at the new cut may. */
  @Test
  void theSameFilmCutAsBeforeHasTheSameKeys() {
    Film film = Films.film(new Random(8));
    Resolved resolved = Films.resolved(film);
    Film moved =
        Trims.rippleEnd(resolved, 0, Tie.free(resolved.cutting().rangeOf(0).end() + 9)).apply(film);
    Film back =
        Trims.rippleEnd(Films.resolved(moved), 0, Tie.free(resolved.cutting().rangeOf(0).end()))
            .apply(moved);
    assertThat(keys(RandomPrograms.of(back, 64, 36)))
        .isEqualTo(keys(RandomPrograms.of(film, 64, 36)));
  }

  @Test
  void aKeyCoversWhatCanChangeAPixel() {
    FrameRange range = new FrameRange(0, 40);
    Layer plain = new Layer.Sequence(List.of(part(0, 40, "a", 0)));
    Run ramp = new Run(Run.Way.FORWARD, 50, 150, Run.Between.NEAREST);
    Layer.Part over = part(5, 20, "b", 3);
    List<Layer> others =
        List.of(
            plain,
            new Layer.Black(),
            new Layer.Sequence(List.of()),
            new Layer.Sequence(List.of(part(0, 40, "b", 0))),
            new Layer.Sequence(List.of(part(0, 40, "a", 1))),
            new Layer.Sequence(List.of(part(0, 39, "a", 0))),
            new Layer.Sequence(List.of(part(1, 40, "a", 0))),
            new Layer.Sequence(List.of(part(0, 20, "a", 0), part(20, 40, "a", 21))),
            footage(200, Run.PLAIN, Framing.FIT),
            footage(30, Run.PLAIN, Framing.FILL),
            footage(200, Run.at(50), Framing.FILL),
            footage(200, Run.at(50).withBetween(Run.Between.BLENDED), Framing.FILL),
            footage(200, ramp, Framing.FILL),
            footage(200, ramp.withWay(Run.Way.REVERSE), Framing.FILL),
            footage(200, new Run(ramp.way(), 50, 150, ramp.between(), 50, 0), Framing.FILL),
            footage(200, new Run(ramp.way(), 50, 150, ramp.between(), 50, 3), Framing.FILL),
            new Layer.Faded(plain, new EndFade(5), 40),
            new Layer.Faded(plain, new EndFade(6), 40),
            new Layer.Faded(plain, new EndFade(6), 41),
            new Layer.Stack(plain, List.of(new Layer.Over(over, Lie.WHOLE))),
            new Layer.Stack(plain, List.of(new Layer.Over(over, Lie.WHOLE.withOpacity(99)))),
            new Layer.Stack(plain, List.of(new Layer.Over(over, Lie.WHOLE.at(990, 500, 500)))),
            new Layer.Stack(plain, List.of(new Layer.Over(over, Lie.WHOLE.at(1000, 510, 500)))),
            new Layer.Stack(plain, List.of(new Layer.Over(over, Lie.WHOLE.at(1000, 500, 510)))),
            new Layer.Stack(plain, List.of(new Layer.Over(over, Lie.WHOLE.turned(100)))),
            new Layer.Stack(plain, List.of(new Layer.Over(over, LiePath.WHOLE, Mixing.SCREEN))),
            new Layer.Stack(
                plain, List.of(new Layer.Over(over, moving(Easing.EVEN), Mixing.NORMAL))),
            new Layer.Stack(
                plain, List.of(new Layer.Over(over, moving(Easing.SLOW_END), Mixing.NORMAL))),
            brighter(plain, PicturePart.WHOLE, Optional.empty()),
            brighter(plain, PicturePart.in(Mask.usual(Mask.Kind.ELLIPSE)), Optional.empty()),
            brighter(plain, PicturePart.in(Mask.usual(Mask.Kind.OUTLINE)), Optional.empty()),
            brighter(plain, new PicturePart(List.of(), Matte.Part.SUBJECT), Optional.of("cut")),
            brighter(plain, new PicturePart(List.of(), Matte.Part.SUBJECT), Optional.of("other")),
            brighter(plain, new PicturePart(List.of(), Matte.Part.BACKGROUND), Optional.of("cut")),
            new Layer.Matted(plain, Matte.NONE.and(Mask.usual(Mask.Kind.ELLIPSE))),
            new Layer.Matted(plain, Matte.NONE.and(Mask.usual(Mask.Kind.RECTANGLE))),
            new Layer.Matted(plain, Matte.of(Key.of(0x20a040))),
            new Layer.Matted(plain, new Matte(List.of(Key.of(0x20a040)), List.of(), 5)));
    List<String> keys = new ArrayList<>();
    others.forEach(root -> keys.add(program(root, 40).key(range)));
    keys.add(new Program(plain, 40, FrameRate.of(25, 1), 64, 36).key(range));
    keys.add(new Program(plain, 40, FrameRate.FPS_24, 66, 36).key(range));
    keys.add(new Program(plain, 40, FrameRate.FPS_24, 64, 38).key(range));
    keys.add(program(plain, 40).key(new FrameRange(0, 39)));
    assertThat(keys).doesNotHaveDuplicates();
  }

  private static Layer brighter(Layer of, PicturePart where, Optional<String> subject) {
    ColourRange range = ColourRange.ofAll(where, new Basics(100, 0, 0, 0, 0));
    Layer.Footage like = new Layer.Footage("a", 200, 0, Run.PLAIN, 40, Framing.FILL);
    return new Layer.Corrected(
        of,
        Correction.NONE.withRanges(List.of(range)),
        Optional.of(new Layer.Parts(PictureShape.of(64, 36), subject.map(like::of))));
  }

  private static LiePath moving(Easing easing) {
    return LiePath.of(Lie.WHOLE, Lie.WHOLE.at(500, 200, 200), easing);
  }

  private static Layer footage(long material, Run run, Framing framing) {
    return new Layer.Footage("a", material, 0, run, 40, framing);
  }

  @Test
  void aKeyDoesNotCoverWhereInTheFilmItIs() {
    Program early = program(part(0, 50, "x", 0), part(50, 150, "a", 0), part(150, 200, "y", 0));
    Program late = program(part(0, 80, "z", 0), part(80, 180, "a", 0), part(180, 300, "w", 0));
    assertThat(early.key(new FrameRange(60, 140))).isEqualTo(late.key(new FrameRange(90, 170)));
    // The last part of a film that fades is another when the film's end is.
    Layer faded = new Layer.Faded(early.root(), new EndFade(24), 200);
    assertThat(program(faded, 200).key(new FrameRange(60, 140)))
        .isEqualTo(early.key(new FrameRange(60, 140)));
  }

  /** Keys name files that are kept for long: they change only with the engine's number. */
  @Test
  void keysAreTheSameInEveryRelease() {
    Layer.Footage slow =
        new Layer.Footage(
            "m",
            90,
            7,
            new Run(Run.Way.REVERSE, 50, 120, Run.Between.MOTION, 60, 4),
            30,
            Framing.SOFT);
    Layer root =
        new Layer.Faded(
            new Layer.Stack(
                new Layer.Sequence(
                    List.of(part(0, 20, "a", 5), new Layer.Part(new FrameRange(20, 50), slow))),
                List.of(new Layer.Over(part(10, 30, "b", 0), new Lie(60, 400, 800, 200, 0)))),
            new EndFade(12),
            50);
    assertThat(program(root, 50).key(new FrameRange(0, 50)))
        .isEqualTo("41a59190929561434916d4218aedc4568cf041aa6275836f61d1c53c57cbfce7");
    assertThat(program(root, 50).key(new FrameRange(15, 30)))
        .isEqualTo("5fefd560dcab6997121cfe050f06c9d1252c3abae873eae97c06764de71c3856");
  }

  @Test
  void theSameFilmAtAnotherRateLastsAsLong() {
    Film film = Films.film(new Random(11));
    Program program = RandomPrograms.of(film, 64, 36);
    Program other = program.at(FrameRate.of(30000, 1001));
    assertThat(other.cuts()).hasSameSizeAs(program.cuts());
    for (int i = 0; i < program.cuts().size(); i++) {
      double start = program.rate().secondsOf(program.cuts().get(i));
      double there = other.rate().secondsOf(other.cuts().get(i));
      assertThat(Math.abs(start - there)).isLessThanOrEqualTo(0.5 * 1001 / 30000 + 1e-9);
    }
    assertThat(other.media()).isEqualTo(program.media());
    assertThat(program.at(Films.RATE)).isEqualTo(program);
  }

  @Test
  void removingAShotLeavesNoGap() {
    Film film = Films.film(new Random(5));
    Film after = Places.giveToNeighbour(Films.resolved(film), 1).apply(film);
    Program program = RandomPrograms.of(after, 64, 36);
    assertThat(program.cuts()).hasSize(after.placements().size() - 1);
    assertThat(program.length()).isEqualTo(Films.resolved(after).cutting().length());
  }

  @Test
  void blackIsPlannedWhereNothingIsSeenAndWhereTheFilmFades() {
    Layer cut =
        new Layer.Sequence(
            List.of(part(5, 20, "a", 0), part(20, 30, "b", 0), part(36, 50, "c", 0)));
    assertThat(program(cut, 60).plannedBlack())
        .containsExactly(new FrameRange(0, 5), new FrameRange(30, 36), new FrameRange(50, 60));
    Layer over = new Layer.Stack(cut, List.of(new Layer.Over(part(0, 5, "d", 0), Lie.WHOLE)));
    Layer faded = new Layer.Faded(over, new EndFade(8), 50);
    assertThat(program(faded, 50).plannedBlack())
        .containsExactly(new FrameRange(42, 50), new FrameRange(0, 5), new FrameRange(30, 36));
    assertThat(program(part(0, 9, "a", 0)).plannedBlack()).isEmpty();
    assertThat(program(new Layer.Faded(cut, new EndFade(90), 50), 50).plannedBlack())
        .contains(new FrameRange(0, 50));
  }

  @Test
  void namesEachFileOnceAndOnlyOfWhatIsSeen() {
    Layer root =
        new Layer.Stack(
            new Layer.Sequence(List.of(part(0, 10, "a", 0), part(10, 20, "b", 0))),
            List.of(
                new Layer.Over(part(5, 15, "c", 0), Lie.WHOLE),
                new Layer.Over(part(12, 14, "a", 0), Lie.WHOLE)));
    assertThat(program(root, 20).media()).containsExactly("a", "b", "c");
    assertThat(root.media(new FrameRange(10, 12))).containsExactly("b", "c");
    assertThat(root.media(new FrameRange(15, 20))).containsExactly("b");
    assertThat(new Layer.Black().media(new FrameRange(0, 9))).isEmpty();
  }

  /** At twice the rate everything is at twice the frame, whatever lies in what. */
  @Test
  void atTwiceTheRateAllIsAtTwiceTheFrame() {
    Run run = new Run(Run.Way.REVERSE, 50, 120, Run.Between.BLENDED, 60, 4);
    Layer slow = new Layer.Footage("m", 90, 7, run, 30, Framing.SOFT);
    Lie lie = new Lie(60, 400, 800, 200, 0);
    Layer root =
        new Layer.Faded(
            new Layer.Stack(
                new Layer.Sequence(
                    List.of(part(3, 20, "a", 5), new Layer.Part(new FrameRange(20, 50), slow))),
                List.of(new Layer.Over(part(10, 30, "b", 2), lie))),
            new EndFade(12),
            50);
    Program twice = program(root, 50).at(FrameRate.of(48, 1));
    assertThat(twice.length()).isEqualTo(100);
    Run there = new Run(Run.Way.REVERSE, 50, 120, Run.Between.BLENDED, 120, 8);
    assertThat(twice.root())
        .isEqualTo(
            new Layer.Faded(
                new Layer.Stack(
                    new Layer.Sequence(
                        List.of(
                            twicePart(6, 40, "a", 10),
                            new Layer.Part(
                                new FrameRange(40, 100),
                                new Layer.Footage("m", 179, 14, there, 60, Framing.SOFT)))),
                    List.of(new Layer.Over(twicePart(20, 60, "b", 4), lie))),
                new EndFade(24),
                100));
    assertThat(program(new Layer.Black(), 9).at(FrameRate.of(48, 1)).root())
        .isEqualTo(new Layer.Black());
  }

  private static Layer.Part twicePart(long start, long end, String media, long in) {
    return new Layer.Part(
        new FrameRange(start, end),
        new Layer.Footage(media, 399, in, Run.PLAIN, end - start, Framing.FILL));
  }

  @Test
  void theFirstUsedFrameStaysInsideTheTakeAtAnotherRate() {
    Layer short1 = new Layer.Footage("m", 10, 9, Run.PLAIN, 5, Framing.FILL);
    Layer.Footage there = (Layer.Footage) program(short1, 5).at(FrameRate.of(12, 1)).root();
    assertThat(there.material()).isEqualTo(4);
    assertThat(there.in()).isEqualTo(3);
  }

  /** The rule of the documentation, found by trying all cuts. */
  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#many")
  void bordersAreTheCutsOfHighestRankNearThem(long seed) {
    Random random = new Random(seed);
    List<Layer.Part> parts = new ArrayList<>();
    long at = 0;
    for (int i = 0; i < 25; i++) {
      long length = 6L + random.nextInt(random.nextBoolean() ? 30 : 300);
      parts.add(part(at, at + length, "m" + i, 0));
      at += length;
    }
    Program program = program(parts.toArray(Layer.Part[]::new));
    List<Long> starts =
        Segmentation.MASTER.of(program).stream().map(s -> s.range().start()).toList();
    long least = 48;
    for (long cut : program.cuts()) {
      if (cut < least || cut > program.length() - least) {
        assertThat(starts).doesNotContain(cut);
        continue;
      }
      String rank = program.key(new FrameRange(cut, cut + 1));
      boolean leads =
          program.cuts().stream()
              .filter(other -> other != cut && Math.abs(other - cut) < least)
              .filter(other -> other >= least && other <= program.length() - least)
              .allMatch(other -> program.key(new FrameRange(other, other + 1)).compareTo(rank) < 0);
      if (leads) {
        assertThat(starts).contains(cut);
      }
    }
  }
}
