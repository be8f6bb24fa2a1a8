package app.latethistle.core.film;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class StayTest {
  @Test
  void runsFromCutToCut() {
    Film film = Films.film(new Random(12));
    List<Placement> shots = film.placements();
    Set<String> place =
        Set.of(shots.get(0).shot(), shots.get(1).shot(), shots.get(shots.size() - 1).shot());

    List<Stay> stays = Stay.of(film, place::contains);

    Stay first = stays.get(0);
    assertThat(first).isEqualTo(new Stay(shots.get(0).id(), shots.get(2).id(), false));
    assertThat(first.landing(24_000).offset()).isZero();
    Stay last = stays.get(stays.size() - 1);
    assertThat(last.to()).isEqualTo(Film.END);
    assertThat(last.landing(24_000).offset()).isEqualTo(-24_000);
    assertThat(last.landing(24_000).at()).isEqualTo(Tie.onCut(last.from()));
  }

  /** Each shot of the place is in just one of them, and none of another is. */
  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void coverThePlaceAndNothingElse(long seed) {
    Random random = new Random(seed);
    Film film = Films.film(random);
    Set<String> place = new HashSet<>();
    film.placements().stream()
        .map(Placement::shot)
        .filter(shot -> random.nextBoolean())
        .forEach(place::add);
    boolean[] covered = new boolean[film.placements().size()];
    for (Stay stay : Stay.of(film, place::contains)) {
      int to = film.indexOfJoint(stay.to());
      for (int i = film.indexOfJoint(stay.from()); i < to; i++) {
        assertThat(covered[i]).isFalse();
        covered[i] = true;
      }
    }
    for (int i = 0; i < covered.length; i++) {
      Placement shot = film.placements().get(i);
      assertThat(covered[i])
          .as("shot %d", i)
          .isEqualTo(shot.hasPicture() && place.contains(shot.shot()));
    }
  }
}
