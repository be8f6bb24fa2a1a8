package app.latethistle.core.film;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.music.DoubleTempo;
import app.latethistle.core.sound.Bus;
import app.latethistle.core.words.Designs;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
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

  /** Titles, sounds and the music's turns stay with the beats they were tied to. */
  @Test
  void whatElseIsTiedToABeatStaysWithIt() {
    Tie four = Tie.onBeat(4);
    Film film =
        Film.EMPTY
            .withTitles(
                List.of(
                    FilmTitle.of(
                        "t", Designs.named("Soft main title"), Standing.of(Tie.onBeat(2), 20))))
            .withBalance(
                Balance.USUAL
                    .withTurns(List.of(new MusicTurn(MusicTurn.Kind.STOP, Tie.onBeat(3), four)))
                    .withLevel(
                        Bus.MUSIC, new BusLevel(0, false, List.of(new BusLevel.Point(four, -6)))));
    BeatGrid after = new DoubleTempo().apply(Films.GRID);
    Film tied = Retie.of(film, Films.GRID, after);
    assertThat(after.sampleOf(((Tie.OnBeat) tied.titles().get(0).when().lands()).beat()))
        .isEqualTo(Films.GRID.sampleOf(2));
    assertThat(after.sampleOf(((Tie.OnBeat) tied.balance().turns().get(0).until()).beat()))
        .isEqualTo(Films.GRID.sampleOf(4));
    assertThat(tied.balance().level(Bus.MUSIC).line().get(0).at())
        .isEqualTo(tied.balance().turns().get(0).until());
  }
}
