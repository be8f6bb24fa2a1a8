package app.latethistle.core.film;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.latethistle.core.sound.Manner;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

class LandedOnTest {
  private static final Tie ON_FIRST = on("first");

  private static Tie on(String sound) {
    return new Tie.OnItem(Tie.OnItem.Kind.SOUND, sound);
  }

  private static FilmSound sound(String id, Tie at, Optional<Tie> until) {
    return new FilmSound(
        id, new SoundMaterial.OfTake("take", 0, 30), new Landing(at, 0, until), Manner.PLAIN);
  }

  /** "second" lands on "first", "third" goes on to "second". */
  private static Film film() {
    Film film = Films.film(new Random(4));
    film = Put.sound(sound("first", Tie.free(10), Optional.empty())).apply(film);
    film = Put.sound(sound("second", ON_FIRST, Optional.empty())).apply(film);
    return Put.sound(sound("third", Tie.free(0), Optional.of(on("second")))).apply(film);
  }

  @Test
  void isFollowedThroughOthers() {
    assertThat(LandedOn.of(film(), "first")).isEmpty();
    assertThat(LandedOn.of(film(), "second")).containsExactly("first");
    assertThat(LandedOn.of(film(), "third")).containsExactlyInAnyOrder("first", "second");
  }

  @Test
  void nothingLandsOnItself() {
    LandedOn.free(film(), "third", ON_FIRST, Optional.of(Tie.free(9)));
    assertThatThrownBy(() -> LandedOn.free(film(), "first", Tie.free(9), Optional.of(on("third"))))
        .hasMessageContaining("lands on this one itself");
    assertThatThrownBy(() -> LandedOn.free(film(), "first", ON_FIRST, Optional.empty()))
        .hasMessageContaining("lands on this one itself");
  }

  /** A circle that came from elsewhere is followed once. */
  @Test
  void aCircleEnds() {
    Film round = Put.sound(sound("first", on("third"), Optional.empty())).apply(film());
    assertThat(LandedOn.of(round, "first")).contains("second", "third");
  }
}
