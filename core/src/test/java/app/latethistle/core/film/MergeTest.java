package app.latethistle.core.film;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.take.Framing;
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
      placements.add(Placement.of("s" + i, "a" + i, 5, Framing.FILL, false));
      joints.add(Tie.onBeat(4 * (i + 1)));
    }
    return new Film(placements, joints, SongUse.PLAIN);
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
    return switch (random.nextInt(6)) {
      case 0 -> new Edit.Slip(place, random.nextInt(40));
      case 1 -> new Edit.SetRun(place, Films.run(random));
      case 2 -> new Edit.ChooseTake(place, "b" + place, 3, Framing.FIT);
      case 3 -> new Edit.SetLock(place, true);
      case 4 -> new Mark("m" + place, new Marker("m" + place, Tie.onBeat(place), "here"));
      default -> new Edit.MoveJoint(Math.max(1, place), Tie.free(48L * place + 20));
    };
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
    Film mine = new Edit.Slip(1, 20).apply(base);
    Film theirs = Places.takeOut(Films.resolved(base), 5).apply(base);
    assertThat(Merge.of(base, mine, theirs)).contains(new Edit.Slip(1, 20).apply(theirs));
  }

  @Test
  void theSameThingChangedTwiceIsTold() {
    Film base = film();
    List<Optional<Film>> conflicts =
        List.of(
            Merge.of(base, new Edit.Slip(1, 20).apply(base), new Edit.Slip(1, 30).apply(base)),
            Merge.of(
                base,
                new Edit.Slip(1, 20).apply(base),
                Places.takeOut(Films.resolved(base), 1).apply(base)),
            Merge.of(
                base,
                new Edit.MoveJoint(2, Tie.free(100)).apply(base),
                Places.takeOut(Films.resolved(base), 2).apply(base)),
            Merge.of(
                base, new Edit.MoveShot(1, 3).apply(base), new Edit.MoveShot(5, 6).apply(base)));
    assertThat(conflicts).containsOnly(Optional.empty());
  }
}
