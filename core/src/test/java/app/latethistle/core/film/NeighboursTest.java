package app.latethistle.core.film;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import app.latethistle.core.look.Framing;
import java.util.List;
import org.junit.jupiter.api.Test;

class NeighboursTest {
  private static Placement shot(int i, boolean locked) {
    return Placement.of("s" + i, "a" + i, 0, Framing.FILL).withLocked(locked);
  }

  private static Film film(boolean firstLocked, boolean lastLocked) {
    return Films.cut(
        List.of(shot(0, firstLocked), shot(1, false), shot(2, lastLocked)),
        List.of(Tie.free(0), Tie.onBeat(4), Tie.onBeat(8), Tie.onBeat(16)));
  }

  @Test
  void theNeighbourWithMoreToSpareTakesOver() {
    Film film = film(false, false);
    // Shot 0 uses 54 of 120 frames, shot 2 uses 96 of 122: shot 0 grows, so the cut before goes.
    Film after = Places.giveToNeighbour(Films.resolved(film), 1).apply(film);
    assertThat(after.placements()).extracting(Placement::shot).containsExactly("s0", "s2");
    assertThat(after.ties()).containsExactly(Tie.free(0), Tie.onBeat(8), Tie.onBeat(16));
  }

  @Test
  void aLockedNeighbourIsLeftAlone() {
    Film film = film(true, false);
    Film after = Places.giveToNeighbour(Films.resolved(film), 1).apply(film);
    assertThat(after.ties()).containsExactly(Tie.free(0), Tie.onBeat(4), Tie.onBeat(16));
  }

  @Test
  void theLastShotTakesTheFilmWithIt() {
    Film film = Films.cut(List.of(shot(0, false)), List.of(Tie.free(0), Tie.onBeat(4)));
    assertThat(Places.giveToNeighbour(Films.resolved(film), 0).apply(film).placements()).isEmpty();
  }

  @Test
  void aShotBroughtBackSharesItsNeighboursTimeOnABeat() {
    Film film = film(false, false);
    Placement back = Placement.of("x", "b0", 0, Framing.FILL);
    Film after = Places.share(Films.resolved(film), back, 3).apply(film);
    assertThat(after.placements())
        .extracting(Placement::shot)
        .containsExactly("s0", "s1", "s2", "x");
    assertThat(after.ties().get(3)).isEqualTo(Tie.onBeat(12));
    Film first = Places.share(Films.resolved(film), back, 0).apply(film);
    assertThat(first.placements().get(0).shot()).isEqualTo("x");
    assertThat(first.ties().get(1)).isEqualTo(Tie.onBeat(2));
  }

  @Test
  void thereMustBeAShotToTakeOut() {
    assertThatIllegalArgumentException()
        .isThrownBy(() -> Places.giveToNeighbour(Films.resolved(film(false, false)), 7));
  }
}
