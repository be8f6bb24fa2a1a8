package app.latethistle.core.film;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import app.latethistle.core.look.Framing;
import app.latethistle.core.look.Span;
import app.latethistle.core.look.Transition;
import app.latethistle.core.look.TransitionKind;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Where transitions lie, what they need of their shots, and ways out where there is too little. */
class OverlapTest {
  private static final PictureShape WIDE = PictureShape.of(1920, 1080);

  /**
   * A beat is 12 frames; shots of 48 frames, cut on beats 4 and 8, of takes of 60 used from 6 on.
   */
  private static final Map<String, Take> TAKES =
      Map.of(
          "a", new Take("a", "ma", 60, WIDE),
          "b", new Take("b", "mb", 60, WIDE),
          "c", new Take("c", "mc", 60, WIDE),
          "long", new Take("long", "ml", 200, WIDE));

  private static Resolved film(Transition first, Transition second) {
    Film film =
        Films.cut(
            List.of(
                Placement.of("1", "a", 6, Framing.FILL),
                Placement.of("2", "b", 6, Framing.FILL),
                Placement.of("3", "c", 6, Framing.FILL)),
            List.of(Tie.free(0), Tie.onBeat(4), Tie.onBeat(8), Tie.onBeat(12)));
    Resolved plain = Resolved.of(film, Clocks.of(Films.GRID), FrameRate.FPS_24, TAKES);
    Film set = Joins.set(plain, List.of(1), first).apply(film);
    return plain.with(Joins.set(plain.with(set), List.of(2), second).apply(set));
  }

  private static Transition dissolve(Span span) {
    return Transition.of(TransitionKind.DISSOLVE, span);
  }

  private static Overlap overlap(Resolved film, int joint) {
    return film.cutting().overlaps().get(joint);
  }

  private static FrameRange frames(Transition how) {
    return overlap(film(how, Transition.CUT), 1).frames();
  }

  @Test
  void itsMiddleItsStartOrItsEndLiesOnTheTie() {
    // Beat 4 of a grid of 120 a minute that begins at a quarter of a second is frame 54.
    Transition beat = dissolve(Span.quarterBeats(4));
    assertThat(frames(beat)).isEqualTo(new FrameRange(48, 60));
    assertThat(frames(beat.lying(Transition.Lies.START))).isEqualTo(new FrameRange(54, 66));
    assertThat(frames(beat.lying(Transition.Lies.END))).isEqualTo(new FrameRange(42, 54));
    assertThat(frames(dissolve(Span.frames(7)))).isEqualTo(new FrameRange(51, 58));
    assertThat(frames(dissolve(Span.milliseconds(500)))).isEqualTo(new FrameRange(48, 60));
    assertThat(frames(dissolve(Span.quarterBeats(1)))).isEqualTo(new FrameRange(53, 56));
    assertThat(frames(Transition.CUT).isEmpty()).isTrue();
  }

  @Test
  void aBeatIsAsLongAsTheSongsBeatsAreThere() {
    Resolved film = film(dissolve(Span.quarterBeats(8)), Transition.CUT);
    Resolved slow =
        Resolved.of(
            film.film(), Clocks.of(BeatGrid.even(80, 0.25, 90, 4)), FrameRate.FPS_24, TAKES);
    assertThat(overlap(film, 1).frames().length()).isEqualTo(24);
    assertThat(overlap(slow, 1).frames().length()).isEqualTo(36);
  }

  @Test
  void whatTheTakesLackIsToldForEachSide() {
    // The first shot is 54 frames long from frame 6 on: its take is used up. The second has 6
    // before.
    Resolved film = film(dissolve(Span.frames(20)), Transition.CUT);
    assertThat(overlap(film, 1).endsShort()).isEqualTo(10);
    assertThat(overlap(film, 1).startsShort()).isEqualTo(4);
    assertThat(film.cutting().problems())
        .contains(
            new Cutting.Problem(Cutting.Kind.ENDS_SHORT, 0, 10),
            new Cutting.Problem(Cutting.Kind.STARTS_SHORT, 1, 4));
    Resolved held = film(dissolve(Span.frames(20)).holding(true), Transition.CUT);
    assertThat(held.cutting().problems()).isEmpty();
  }

  @Test
  void twoThatMeetInAShotPartItAndAreTold() {
    Resolved film = film(dissolve(Span.frames(80)), dissolve(Span.frames(60)));
    Overlap first = overlap(film, 1);
    Overlap second = overlap(film, 2);
    // Wanted are 14 to 94 and 72 to 132.
    assertThat(first.frames()).isEqualTo(new FrameRange(14, 83));
    assertThat(second.frames()).isEqualTo(new FrameRange(83, 132));
    assertThat(film.cutting().problems())
        .contains(
            new Cutting.Problem(Cutting.Kind.TRANSITION_CROWDED, 0, 11),
            new Cutting.Problem(Cutting.Kind.TRANSITION_CROWDED, 1, 11));
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void noFrameIsInTwoAndNoneLeavesItsShots(long seed) {
    Random random = new Random(seed);
    Film film = Films.film(random);
    for (int joint = 1; joint < film.placements().size(); joint++) {
      Transition.Lies lies = List.of(Transition.Lies.values()).get(random.nextInt(3));
      Transition how = dissolve(Span.frames(1 + random.nextInt(200))).lying(lies);
      film = SetAspect.of(Aspect.TRANSITION, film.jointName(joint), how).apply(film);
    }
    Cutting cutting = Films.resolved(film).cutting();
    long at = 0;
    for (int joint = 1; joint < film.placements().size(); joint++) {
      FrameRange range = cutting.overlaps().get(joint).frames();
      if (!range.isEmpty()) {
        assertThat(range.start()).isGreaterThanOrEqualTo(at);
        assertThat(range.start()).isGreaterThanOrEqualTo(cutting.frames().get(joint - 1));
        assertThat(range.end()).isLessThanOrEqualTo(cutting.frames().get(joint + 1));
        at = range.end();
      }
    }
  }

  @Test
  void theFilmsEndsHaveNone() {
    Resolved film = film(Transition.CUT, Transition.CUT);
    for (int joint : new int[] {0, 3}) {
      assertThatIllegalArgumentException()
          .isThrownBy(() -> Joins.set(film, List.of(joint), dissolve(Span.frames(4))))
          .withMessageContaining("between two shots");
    }
  }

  @Test
  void onBordersAreThoseThatFallThereToAFrame() {
    Resolved film = film(Transition.CUT, Transition.CUT);
    assertThat(Joins.onBorders(film, Set.of(55L, 300L))).containsExactly(1);
    assertThat(Joins.onBorders(film, Set.of(56L))).isEmpty();
  }

  private static Map<Remedy.Kind, Remedy> ways(Resolved film, Cutting.Kind kind) {
    Cutting.Problem problem =
        film.cutting().problems().stream().filter(p -> p.kind() == kind).findFirst().orElseThrow();
    Map<Remedy.Kind, Remedy> ways = new EnumMap<>(Remedy.Kind.class);
    HandleRemedies.of(film, problem, List.of(TAKES.get("long")), take -> Framing.FILL)
        .forEach(r -> ways.put(r.kind(), r));
    return ways;
  }

  @Test
  void whatIsOfferedMends() {
    Resolved film = film(dissolve(Span.frames(6)), Transition.CUT);
    assertThat(overlap(film, 1).endsShort()).isEqualTo(3);
    Map<Remedy.Kind, Remedy> ways = ways(film, Cutting.Kind.ENDS_SHORT);
    assertThat(ways)
        .containsOnlyKeys(
            Remedy.Kind.SLIP, Remedy.Kind.OFF_CENTRE, Remedy.Kind.HOLD, Remedy.Kind.TAKE);
    ways.values()
        .forEach(
            way ->
                assertThat(film.with(way.edit().apply(film.film())).cutting().problems())
                    .as("%s", way.kind())
                    .isEmpty());
    assertThat(ways.get(Remedy.Kind.SLIP).frames()).isEqualTo(3);
  }

  @Test
  void aShorterOneIsAsLongAsBothSidesLastIt() {
    // The second shot has 6 frames before it and 6 after it; lying after the cut it needs none
    // before.
    Resolved film = film(Transition.CUT, dissolve(Span.frames(30)));
    Remedy shorter = ways(film, Cutting.Kind.ENDS_SHORT).get(Remedy.Kind.SHORTEN);
    assertThat(shorter.frames()).isEqualTo(12);
    Resolved after = film.with(shorter.edit().apply(film.film()));
    assertThat(after.cutting().problems()).isEmpty();
    assertThat(overlap(after, 2).frames().length()).isEqualTo(12);
  }

  @Test
  void editsOfTheCutLeaveTransitionsOnTheirJoints() {
    Resolved film = film(Transition.CUT, dissolve(Span.frames(6)));
    Film rolled = Trims.roll(film, 2, Tie.free(104)).apply(film.film());
    assertThat(rolled.joints().get(2).transition()).isEqualTo(dissolve(Span.frames(6)));
    Film split = Trims.split(film, 0, Tie.free(20)).apply(film.film());
    assertThat(split.joints().get(3).transition()).isEqualTo(dissolve(Span.frames(6)));
    assertThat(split.joints().get(1).transition().isCut()).isTrue();
    Film less = Places.takeOut(film, 0).apply(film.film());
    assertThat(less.joints().get(1).transition()).isEqualTo(dissolve(Span.frames(6)));
  }
}
