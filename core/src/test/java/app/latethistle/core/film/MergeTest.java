package app.latethistle.core.film;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.look.Framing;
import app.latethistle.core.look.Lie;
import app.latethistle.core.look.LiePath;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class MergeTest {
  private static Film film() {
    List<Placement> placements = new ArrayList<>();
    List<Tie> joints = new ArrayList<>(List.of(Tie.free(0)));
    for (int i = 0; i < 8; i++) {
      placements.add(Placement.of("s" + i, "a" + i, 5, Framing.FILL));
      joints.add(Tie.onBeat(4 * (i + 1)));
    }
    return Films.cut(placements, joints);
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#many")
  void oneSidedChangesAreTakenWhole(long seed) {
    Random random = new Random(seed);
    Film base = Films.film(random);
    Film changed = base;
    for (int i = 0; i < 6; i++) {
      changed = Films.edit(changed, random).apply(changed);
    }
    assertThat(Merge.of(base, changed, base)).contains(changed);
    assertThat(Merge.of(base, base, changed)).contains(changed);
    assertThat(Merge.of(base, changed, changed)).contains(changed);
  }

  /** An edit of what lies at one place alone, its earlier cut with it. */
  private static Edit at(int place, Random random) {
    return of(random.nextInt(6), place, random);
  }

  private static Edit of(int kind, int place, Random random) {
    Film film = film();
    String id = film.placementAt(place).id();
    return switch (kind) {
      case 0 -> Films.slip(film, place, random.nextInt(40));
      case 1 -> SetAspect.of(Aspect.RUN, id, Films.run(random));
      case 2 -> Films.frame(film, place, Framing.FIT);
      case 3 -> Films.lock(film, place, true);
      case 4 -> Put.marker(Marker.of("m" + place, Tie.onBeat(place), "here"));
      default -> Films.tie(film, Math.max(1, place), Tie.free(48L * place + 20));
    };
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#many")
  void aspectsOfOneShotGoTogether(long seed) {
    Random random = new Random(seed);
    Film base = film();
    int place = random.nextInt(8);
    int kind = random.nextInt(6);
    Edit mine = of(kind, place, random);
    Edit theirs = of((kind + 1 + random.nextInt(5)) % 6, place, random);
    assertThat(Merge.of(base, mine.apply(base), theirs.apply(base)))
        .contains(theirs.apply(mine.apply(base)));
  }

  @Test
  void whatLiesOverTheCutIsMergedByAspectToo() {
    Placement shot = Placement.of("o", "b1", 3, Framing.FILL);
    Film base = Put.overlay(Overlay.whole(1, shot, Tie.free(3), Tie.free(30))).apply(film());
    Edit faster = SetAspect.of(Aspect.RUN, "o", Run.at(200));
    Edit smaller = SetAspect.of(Aspect.LIE, "o", LiePath.still(Lie.WHOLE.at(400, 200, 800)));
    Edit later = SetAspect.of(Aspect.TIES, "o", new Overlay.Ties(Tie.free(9), Tie.free(40)));
    Film both = smaller.apply(faster.apply(base));
    assertThat(Merge.of(base, faster.apply(base), smaller.apply(base))).contains(both);
    assertThat(Merge.of(base, both, later.apply(base))).contains(later.apply(both));
    assertThat(Merge.of(base, both, Put.away(ItemKind.OVERLAY, "o").apply(base))).isEmpty();
    assertThat(
            Merge.of(
                base, faster.apply(base), SetAspect.of(Aspect.RUN, "o", Run.at(50)).apply(base)))
        .isEmpty();
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#many")
  void changesOfDifferentShotsGoTogetherInEitherOrder(long seed) {
    Random random = new Random(seed);
    Film base = film();
    int one = random.nextInt(8);
    int other = (one + 2 + random.nextInt(5)) % 8;
    Edit mine = at(one, random);
    Edit theirs = at(other, random);
    Film both = theirs.apply(mine.apply(base));
    assertThat(both).isEqualTo(mine.apply(theirs.apply(base)));
    assertThat(Merge.of(base, mine.apply(base), theirs.apply(base))).contains(both);
  }

  @Test
  void aChangeGoesTogetherWithShotsThatMoveElsewhere() {
    Film base = film();
    Film mine = Films.slip(base, 1, 20).apply(base);
    Film theirs = Places.takeOut(Films.resolved(base), 5).apply(base);
    assertThat(Merge.of(base, mine, theirs)).contains(Films.slip(base, 1, 20).apply(theirs));
  }

  @Test
  void theSameThingChangedTwiceIsTold() {
    Film base = film();
    List<Optional<Film>> conflicts =
        List.of(
            Merge.of(
                base, Films.slip(base, 1, 20).apply(base), Films.slip(base, 1, 30).apply(base)),
            Merge.of(
                base,
                Films.slip(base, 1, 20).apply(base),
                Places.takeOut(Films.resolved(base), 1).apply(base)),
            Merge.of(
                base,
                Films.tie(base, 2, Tie.free(100)).apply(base),
                Places.takeOut(Films.resolved(base), 2).apply(base)),
            Merge.of(
                base,
                Places.reorder(Films.resolved(base), 1, 3).apply(base),
                Places.reorder(Films.resolved(base), 5, 6).apply(base)));
    assertThat(conflicts).containsOnly(Optional.empty());
  }
}
