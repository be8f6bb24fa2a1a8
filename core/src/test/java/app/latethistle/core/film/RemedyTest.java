package app.latethistle.core.film;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.look.Fit;
import app.latethistle.core.look.Framing;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRate;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Ways out of too little material do what they say. */
class RemedyTest {
  private static final PictureShape WIDE = PictureShape.of(1920, 1080);
  private static final Take SHORT = new Take("short", "a", 60, WIDE);
  private static final Take LONG = new Take("long", "b", 200, WIDE);
  private static final Take OTHER = new Take("other", "c", 50, WIDE);

  /** A shot of 96 frames, of a take of 60 that is shown from its frame 10 on, and another shot. */
  private static Resolved film() {
    Framing fill = new Framing(Fit.FILL);
    Film film =
        Films.cut(
            List.of(Placement.of("1", "short", 10, fill), Placement.of("2", "long", 0, fill)),
            List.of(Tie.free(0), Tie.free(96), Tie.free(150)));
    return Resolved.of(
        film,
        Films.resolved(film).clocks(),
        FrameRate.FPS_24,
        Map.of("short", SHORT, "long", LONG, "other", OTHER));
  }

  private static Map<Remedy.Kind, Remedy> ways(List<Take> others) {
    Map<Remedy.Kind, Remedy> ways = new EnumMap<>(Remedy.Kind.class);
    Remedy.of(film(), 0, others, take -> new Framing(Fit.FILL)).forEach(r -> ways.put(r.kind(), r));
    return ways;
  }

  private static Resolved after(Remedy remedy) {
    return film().with(remedy.edit().apply(film().film()));
  }

  private static long missing(Resolved film) {
    return film.cutting().problems().stream()
        .filter(p -> p.kind() == Cutting.Kind.OUT_OF_MATERIAL)
        .mapToLong(Cutting.Problem::frames)
        .sum();
  }

  @Test
  void theFilmIsShortOfForty() {
    assertThat(missing(film())).isEqualTo(10 + 96 - 60);
  }

  @Test
  void aSlipGivesWhatLiesBefore() {
    Remedy slip = ways(List.of()).get(Remedy.Kind.SLIP);
    assertThat(slip.frames()).isEqualTo(10);
    assertThat(slip.missing()).isEqualTo(36).isEqualTo(missing(after(slip)));
  }

  @Test
  void aLongerTakeIsEnough() {
    Remedy take = ways(List.of(OTHER, LONG)).get(Remedy.Kind.TAKE);
    assertThat(take.take()).isEqualTo("long");
    assertThat(missing(after(take))).isZero();
    assertThat(ways(List.of(OTHER))).doesNotContainKey(Remedy.Kind.TAKE);
  }

  @Test
  void slowerIsEnoughAndNeverUnderHalf() {
    Remedy slow = ways(List.of()).get(Remedy.Kind.SLOW);
    assertThat(slow.speed()).isBetween(50, 52);
    assertThat(missing(after(slow))).isZero();
  }

  @Test
  void backAndForthAndEndingSoonerAreEnough() {
    Map<Remedy.Kind, Remedy> ways = ways(List.of());
    Remedy back = ways.get(Remedy.Kind.BACK_AND_FORTH);
    assertThat(back.frames()).isEqualTo(50);
    assertThat(missing(after(back))).isZero();
    Remedy sooner = ways.get(Remedy.Kind.END_SOONER);
    assertThat(missing(after(sooner))).isZero();
    assertThat(after(sooner).cutting().frames()).containsExactly(0L, 50L, 150L);
  }

  @Test
  void anotherTakeFillsTheRest() {
    Remedy fill = ways(List.of(OTHER)).get(Remedy.Kind.FILL);
    assertThat(fill.frames()).isEqualTo(50);
    Resolved after = after(fill);
    assertThat(after.film().placements())
        .extracting(Placement::take)
        .containsExactly("short", "other", "long");
    assertThat(after.cutting().frames()).containsExactly(0L, 50L, 96L, 150L);
    assertThat(missing(after)).isZero();
    assertThat(ways(List.of())).doesNotContainKey(Remedy.Kind.FILL);
  }
}
