package app.latethistle.core.film;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.music.DoubleTempo;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class RetieTest {
  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void cutsStayWhereTheyWereWhenBeatsAreDoubled(long seed) {
    Film film = Films.film(new Random(seed));
    BeatGrid before = Films.GRID;
    BeatGrid after = new DoubleTempo().apply(before);
    assertThat(Retie.isNeeded(before, after)).isTrue();
    Film tied = Retie.of(film, before, after);
    for (int i = 0; i < film.joints().size(); i++) {
      if (film.ties().get(i) instanceof Tie.OnBeat old) {
        Tie.OnBeat now = (Tie.OnBeat) tied.ties().get(i);
        assertThat(after.sampleOf(now.beat())).isEqualTo(before.sampleOf(old.beat()));
        assertThat(now.offset()).isEqualTo(old.offset());
      } else {
        assertThat(tied.ties().get(i)).isEqualTo(film.ties().get(i));
      }
    }
    assertThat(Retie.of(tied, after, before)).isEqualTo(film);
  }
}
