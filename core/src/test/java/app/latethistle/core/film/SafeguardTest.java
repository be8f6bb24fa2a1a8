package app.latethistle.core.film;

import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import app.latethistle.core.look.Framing;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A lock holds a shot's place, its length and the part of its take, and lets another take in. */
class SafeguardTest {
  private final Film film =
      Films.cut(
          List.of(
              Placement.of("s0", "a0", 5, Framing.FILL),
              Placement.of("s1", "a1", 5, Framing.FILL).withLocked(true),
              Placement.of("s2", "a2", 5, Framing.FILL)),
          List.of(Tie.free(0), Tie.free(40), Tie.free(80), Tie.free(120)));
  private final Resolved before = Films.resolved(film);

  private void hold(Edit edit) {
    Safeguard.hold(before, before.with(edit.apply(film)));
  }

  @Test
  void itsPlaceAndLengthStay() {
    assertThatIllegalArgumentException()
        .isThrownBy(() -> hold(Trims.rippleEnd(before, 0, Tie.free(50))))
        .withMessageContaining("Shot 2 of the film is locked and would move");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> hold(Trims.roll(before, 2, Tie.free(85))));
    assertThatIllegalArgumentException().isThrownBy(() -> hold(Places.takeOut(before, 1)));
    assertThatCode(() -> hold(Sources.slip(before, "s0", 9))).doesNotThrowAnyException();
  }

  @Test
  void thePartOfItsTakeStays() {
    assertThatIllegalArgumentException()
        .isThrownBy(() -> hold(Sources.slip(before, "s1", 9)))
        .withMessageContaining("would show another part");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> hold(Sources.run(before, "s1", Run.at(200))));
  }

  @Test
  void anotherTakeAndBeingUnlockedAreAllowed() {
    Edit other = Sources.choose(before, "s1", Films.takes().get("b1"), Framing.FIT);
    assertThatCode(() -> hold(other)).doesNotThrowAnyException();
    assertThatCode(() -> hold(Films.lock(film, 1, false))).doesNotThrowAnyException();
    Edit both =
        new Compound("both", List.of(Films.lock(film, 1, false), Sources.slip(before, "s1", 9)));
    assertThatCode(() -> hold(both)).doesNotThrowAnyException();
  }

  @Test
  void aLockedOverlayStaysToo() {
    Placement over = Placement.of("o", "b2", 7, Framing.FILL).withLocked(true);
    Film with = Put.overlay(Overlay.whole(1, over, Tie.free(10), Tie.free(30))).apply(film);
    Resolved now = Films.resolved(with);
    Edit slip = Sources.slip(now, "o", 3);
    assertThatIllegalArgumentException()
        .isThrownBy(() -> Safeguard.hold(now, now.with(slip.apply(with))))
        .withMessageContaining("layer 1 would show another part");
    Edit moved = SetAspect.of(Aspect.TIES, "o", new Overlay.Ties(Tie.free(11), Tie.free(31)));
    assertThatIllegalArgumentException()
        .isThrownBy(() -> Safeguard.hold(now, now.with(moved.apply(with))))
        .withMessageContaining("layer 1 would move");
  }
}
