package app.latethistle.core.film;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.look.Framing;
import app.latethistle.core.sound.Manner;
import app.latethistle.core.time.SampleRange;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class AmbienceTest {
  private static final SoundMaterial WATER =
      new SoundMaterial.OfFile(
          "water", "water", new SampleRange(0, 48_000), 0, Optional.of(new SampleRange(0, 48_000)));

  /** The valley twice, a hall between. */
  private static final Film FILM = film("valley a", "valley b", "hall a", "valley c");

  private static Film film(String... shots) {
    List<Placement> placements = new ArrayList<>();
    List<Joint> joints = new ArrayList<>(List.of(Joint.START));
    for (String shot : shots) {
      placements.add(Placement.of(shot, "take", 0, Framing.FILL));
      joints.add(Joint.of(Tie.free(24L * placements.size())));
    }
    return Film.cut(placements, joints);
  }

  /** Each shot is where the first word of its name says. */
  private static Map<String, String> places(Film film) {
    Map<String, String> places = new HashMap<>();
    film.placements().forEach(p -> places.put(p.shot(), p.shot().split(" ")[0]));
    return places;
  }

  private static FilmSound bed(String from) {
    return new FilmSound("bed", WATER, Landing.on(Tie.onCut(from)), Manner.PLAIN.withGain(-18));
  }

  private static Film laid(Film film, String place) {
    return new Ambience(place, bed(film.placements().get(0).id()))
        .everywhere(film, places(film))
        .orElseThrow()
        .apply(film);
  }

  private static List<Ambience> astray(Film film) {
    return Ambience.astray(film, places(film)).stream().map(Ambience.Astray::ambience).toList();
  }

  @Test
  void goesFromCutToCutWhereverTheFilmIsInThePlace() {
    Film laid = laid(FILM, "valley");
    assertThat(laid.sounds())
        .extracting(FilmSound::when)
        .containsExactlyInAnyOrder(
            new Landing(Tie.onCut("valley a"), 0, Optional.of(Tie.onCut("hall a"))),
            new Landing(Tie.onCut("valley c"), -24_000, Optional.of(Tie.onCut(Film.END))));
    assertThat(laid.sounds()).allMatch(sound -> sound.how().gain() == -18);
    assertThat(astray(laid)).isEmpty();
    assertThat(Ambience.of(laid, places(laid)))
        .singleElement()
        .extracting(Ambience::place)
        .isEqualTo("valley");
  }

  @Test
  void aBedThatIsLaidByHandOverShotsIsNoAmbience() {
    Landing over = Landing.between(Tie.onCut("valley b"), Tie.onCut("valley c"));
    Film rain = FILM.withSounds(List.of(bed("valley b").withLanding(over)));
    assertThat(Ambience.of(rain, places(rain))).isEmpty();
  }

  /** Whatever shots are put in or taken out afterwards: what is astray is told, and put right. */
  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void followsItsPlaceWhenTheCutChanges(long seed) {
    Random random = new Random(seed);
    String[] before = new String[5];
    String[] after = new String[7];
    for (int i = 0; i < after.length; i++) {
      String shot = (random.nextInt(3) == 0 ? "hall " : "valley ") + i;
      after[i] = shot;
      if (i > 0 && i <= before.length) {
        before[i - 1] = shot;
      }
    }
    Film first = film(before);
    if (new Ambience("valley", bed(before[0])).stays(first, places(first)).size() < 2) {
      return;
    }
    Film now = film(after).withSounds(laid(first, "valley").sounds());
    Film right = now;
    for (Ambience ambience : astray(now)) {
      right = ambience.everywhere(now, places(now)).orElseThrow().apply(now);
    }
    assertThat(astray(right)).isEmpty();
    for (Stay stay : Stay.of(right, shot -> shot.startsWith("valley"))) {
      assertThat(right.sounds())
          .filteredOn(sound -> sound.when().equals(stay.landing(Ambience.CROSSES)))
          .as("%s", stay)
          .hasSize(1);
    }
  }
}
