package app.latethistle.core.film;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Lifting.Behind;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.Matte;
import app.latethistle.core.look.Treatment;
import app.latethistle.core.look.TreatmentKind;
import app.latethistle.core.take.Take;
import app.latethistle.core.words.Designs;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class LiftingTest {
  private static final Film FILM =
      Films.cut(
          List.of(
              Placement.of("s0", "a0", 0, Framing.FILL),
              Placement.of("s1", "a1", 10, Framing.FILL),
              Placement.of("s2", "a2", 0, Framing.FILL)),
          List.of(Tie.free(0), Tie.free(24), Tie.free(60), Tie.free(90)));

  /** The subjects of a0 and a1 have been cut out. */
  private static Resolved resolved(Film film) {
    Map<String, Take> takes = new HashMap<>(Films.takes());
    takes.computeIfPresent("a0", (id, take) -> take.withSubject("subject"));
    takes.computeIfPresent("a1", (id, take) -> take.withSubject("subject"));
    return Resolved.of(film, Clocks.of(Films.GRID), Films.RATE, takes);
  }

  private static Film lifted(Film film, Behind behind) {
    Edit edit = Lifting.lift(resolved(film), "s1", behind);
    Film after = edit.apply(film);
    assertThat(edit.inverse(film).apply(after)).isEqualTo(film);
    return after;
  }

  private static List<TreatmentKind> treatments(Placement shot) {
    return shot.how().treatments().list().stream().map(Treatment::kind).toList();
  }

  @Test
  void theSubjectLiesWhereTheShotIsAndShowsTheSame() {
    Film after = lifted(FILM, Behind.AS_IT_IS);
    assertThat(after.placements()).isEqualTo(FILM.placements());
    Overlay over = after.overlays().get(0);
    assertThat(over.start()).isEqualTo(Tie.free(24));
    assertThat(over.end()).isEqualTo(Tie.free(60));
    assertThat(over.placement().in()).isEqualTo(10);
    assertThat(over.placement().how().matte().part()).isEqualTo(Matte.Part.SUBJECT);
  }

  @Test
  void whatIsBehindItIsBlurredOrGreyAndTheSubjectIsNot() {
    Film blurred = lifted(FILM, Behind.BLURRED);
    assertThat(treatments(blurred.placementAt(1))).containsExactly(TreatmentKind.BLUR);
    assertThat(treatments(blurred.overlays().get(0).placement())).isEmpty();
    assertThat(treatments(lifted(FILM, Behind.GREY).placementAt(1)))
        .containsExactly(TreatmentKind.MONOCHROME);
  }

  @Test
  void titlesOverTheShotGoBehindTheSubjectAndOthersStay() {
    Film titled =
        FILM.withTitles(
            List.of(
                FilmTitle.of(
                    "over", Designs.named("Soft main title"), Standing.of(Tie.free(40), 10)),
                FilmTitle.of(
                    "later", Designs.named("Soft main title"), Standing.of(Tie.free(85), 5))));
    Film after = lifted(titled, Behind.TITLED);
    assertThat(after.titles())
        .extracting(FilmTitle::id, FilmTitle::layer)
        .containsExactlyInAnyOrder(tuple("over", 0), tuple("later", FilmTitle.TOP));
    assertThatThrownBy(() -> Lifting.lift(resolved(titled), "s0", Behind.TITLED))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("No title stands");
  }

  @Test
  void whatHasNoSubjectIsNotLifted() {
    assertThatThrownBy(() -> Lifting.lift(resolved(FILM), "s2", Behind.AS_IT_IS))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("Nothing has been cut out");
    Film after = lifted(FILM, Behind.AS_IT_IS);
    String over = after.overlays().get(0).name();
    assertThatThrownBy(() -> Lifting.lift(resolved(after), over, Behind.AS_IT_IS))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("over the cut already");
  }
}
