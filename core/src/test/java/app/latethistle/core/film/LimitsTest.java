package app.latethistle.core.film;

import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import app.latethistle.core.Refused;
import java.util.Random;
import java.util.function.LongFunction;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What a limit allows is done, and one frame further is refused, in random films. */
class LimitsTest {
  private static void holds(Resolved film, Limits limits, LongFunction<Edit> edit) {
    long most = limits.most() == Limits.OPEN ? film.cutting().length() + 50 : limits.most();
    for (long frame : new long[] {limits.least(), most}) {
      assertThatCode(() -> edit.apply(frame).apply(film.film())).doesNotThrowAnyException();
    }
    if (limits.least() > 0) {
      assertThatExceptionOfType(Refused.class).isThrownBy(() -> edit.apply(limits.least() - 1));
    }
    if (limits.most() != Limits.OPEN) {
      assertThatExceptionOfType(Refused.class).isThrownBy(() -> edit.apply(most + 1));
    }
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#many")
  void rollAndSlide(long seed) {
    Random random = new Random(seed);
    Resolved film = Films.running(random);
    int shots = film.film().placements().size();
    for (int i = 1; i < shots; i++) {
      int at = i;
      holds(film, Limits.roll(film, i), frame -> Trims.roll(film, at, Tie.free(frame)));
      if (i + 1 < shots) {
        holds(film, Limits.slide(film, i), frame -> Trims.slide(film, at, Tie.free(frame)));
      }
    }
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#many")
  void ripple(long seed) {
    Resolved film = Films.running(new Random(seed));
    for (int i = 0; i < film.film().placements().size(); i++) {
      int at = i;
      holds(film, Limits.rippleEnd(film, i), frame -> Trims.rippleEnd(film, at, Tie.free(frame)));
      holds(
          film, Limits.rippleStart(film, i), frame -> Trims.rippleStart(film, at, Tie.free(frame)));
    }
  }
}
