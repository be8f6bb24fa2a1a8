package app.latethistle.core.release;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.film.Film;
import app.latethistle.core.film.Films;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.film.Tie;
import app.latethistle.core.look.Framing;
import app.latethistle.core.time.FrameRange;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is delivered: its name, its part of the film, how long it may be. */
class OutputTest {
  private static final NamePattern.Meaning MEANING =
      new NamePattern.Meaning("Night {Post} $1", "9:16", 720, "23.976");

  private static Resolved film() {
    Film film =
        Films.cut(
            List.of(
                Placement.of("s0", "a0", 0, Framing.FILL),
                Placement.of("s1", "a1", 0, Framing.FILL)),
            List.of(Tie.free(0), Tie.free(48), Tie.free(96)));
    return Films.resolved(film);
  }

  private static Output.Part part(Long from, Long to, Integer longest) {
    return new Output.Part(
        Optional.ofNullable(from).map(Tie::free),
        Optional.ofNullable(to).map(Tie::free),
        Optional.ofNullable(longest));
  }

  @Test
  void wordsInBracesStandForWhatItIs() {
    assertThat(new NamePattern(" {film}, {shape} ").named(MEANING))
        .isEqualTo("Night {Post} $1, 9x16");
    assertThat(new NamePattern("{lines} at {rate}, {lines}").named(MEANING))
        .isEqualTo("720 at 23.976, 720");
    assertThat(new NamePattern("plain } { text").named(MEANING)).isEqualTo("plain } { text");
    String cut = "{film}" + "x".repeat(114);
    assertThat(new NamePattern(cut).named(MEANING)).hasSize(120).startsWith("Night {Post}");
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "   ", "{date}", "a {} b", "{Film}"})
  void aNameThatSaysNothingIsRefused(String text) {
    assertThatThrownBy(() -> new NamePattern(text)).isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void itsPartIsWithinTheFilm() {
    Output output = Output.of("a", Encoding.MP4);
    assertThat(output.range(film())).isEqualTo(new FrameRange(0, 96));
    assertThat(output.withPart(part(10L, 5000L, null)).range(film()))
        .isEqualTo(new FrameRange(10, 96));
    assertThatThrownBy(() -> output.withPart(part(50L, 20L, null)).range(film()))
        .hasMessageContaining("end before it begins");
  }

  @Test
  void whatIsLongerThanItsPlaceTakesIsTold() {
    Output output = Output.of("a", Encoding.MP4);
    assertThat(output.over(film())).isZero();
    assertThat(output.withPart(part(null, null, 4)).over(film())).isZero();
    assertThat(output.withPart(part(null, null, 3)).over(film())).isCloseTo(1, within(1e-9));
    assertThat(output.withPart(part(48L, null, 3)).over(film())).isZero();
    assertThatThrownBy(() -> part(null, null, 0)).hasMessageContaining("1 to 86400 s");
  }

  @Test
  void aPresetIsForAnyFilm() {
    Output tied = Output.of("a", Encoding.MP4).withPart(part(10L, null, null));
    assertThatThrownBy(() -> new Preset("Short", tied)).hasMessageContaining("for any film");
    assertThatThrownBy(() -> new Preset(" ", Output.of("a", Encoding.MP4)))
        .hasMessageContaining("name");
    assertThat(Preset.SHIPPED).extracting(Preset::name).doesNotHaveDuplicates();
  }

  /** A wished size is only for what can be made to it. */
  @ParameterizedTest
  @ValueSource(strings = {"PNG", "WAV", "CAPTIONS", "MOV_422", "MP4_HEVC"})
  void aSizeThatCannotBeMetIsRefused(String encoding) {
    assertThatThrownBy(
            () ->
                new Output(
                    new NamePattern("a"),
                    Encoding.valueOf(encoding),
                    Quality.SMALL,
                    Optional.of(3.0),
                    Output.Pictures.AS_FILM,
                    Output.Part.WHOLE,
                    Optional.empty(),
                    true))
        .hasMessageContaining("cannot be made as large as wished");
  }
}
