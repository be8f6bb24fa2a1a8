package app.latethistle.core.release;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.latethistle.core.film.Aspect;
import app.latethistle.core.film.Edit;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.FilmCaptions;
import app.latethistle.core.film.FilmTitle;
import app.latethistle.core.film.Films;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Put;
import app.latethistle.core.film.SetAspect;
import app.latethistle.core.film.Standing;
import app.latethistle.core.film.Tie;
import app.latethistle.core.look.EndFade;
import app.latethistle.core.look.Finish;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.Treatment;
import app.latethistle.core.look.TreatmentKind;
import app.latethistle.core.look.Treatments;
import app.latethistle.core.marks.Sign;
import app.latethistle.core.words.CaptionKind;
import app.latethistle.core.words.CaptionStyle;
import app.latethistle.core.words.Designs;
import app.latethistle.core.words.Lettering.Face;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What a channel's films have in common goes from one to another, and nothing else does. */
class ChannelStyleTest {
  private static Film film(String shot) {
    return Films.cut(
        List.of(Placement.of(shot, "a0", 0, Framing.FILL)), List.of(Tie.free(0), Tie.free(96)));
  }

  private static Film titled(Film film, String id, String design, String text) {
    FilmTitle title =
        FilmTitle.of(id, Designs.named(design), Standing.of(Tie.free(12), 40))
            .withWords(Designs.named(design).saying(text));
    return Put.title(title).apply(film);
  }

  private static Film styled() {
    Film film = titled(film("s0"), "t1", "Carved main title", "Night Post");
    film = titled(film, "t2", "End card", "More on Friday");
    Finish finish =
        Finish.NONE
            .withTreatments(Treatments.of(Treatment.usual(TreatmentKind.GRAIN)))
            .withEnd(new EndFade(20));
    film = SetAspect.of(Aspect.FINISH, "", finish).apply(film);
    return Put.captions(
            FilmCaptions.in(FilmCaptions.READ)
                .withStyle(CaptionStyle.USUAL.withKind(CaptionKind.FEW_WORDS)))
        .apply(film);
  }

  private static final Output TIED =
      Output.of("{film}", Encoding.MP4)
          .withPart(
              new Output.Part(
                  Optional.of(Tie.free(12)), Optional.of(Tie.free(48)), Optional.of(60)));

  private static final ReleaseSheet SHEET =
      new ReleaseSheet(
          "Night Post",
          "One film a week.",
          true,
          List.of("winter"),
          true,
          Optional.of(3L),
          Map.of("song", "own"));

  @Test
  void aSheetTakesWordsThatItHasNotAndKeepsItsOwn() {
    ChannelStyle style = ChannelStyle.of("Thistle", styled(), List.of(), SHEET);
    ReleaseSheet blank =
        new ReleaseSheet(
            "Salt", " ", false, List.of("salt", "winter"), false, Optional.empty(), Map.of());
    ReleaseSheet after = style.onto(blank);
    assertThat(after).isEqualTo(blank.withWords("One film a week.", List.of("salt", "winter")));
    assertThat(style.onto(after)).isEqualTo(after);
    ReleaseSheet own = blank.withWords("A film of salt.", List.of());
    assertThat(style.onto(own).description()).isEqualTo("A film of salt.");
  }

  @Test
  void aFilmTakesTheStyleOfAnother() {
    ChannelStyle style = ChannelStyle.of(" Thistle ", styled(), List.of(TIED), SHEET);
    assertThat(style.name()).isEqualTo("Thistle");
    assertThat(style.outputs().get(0).part())
        .isEqualTo(new Output.Part(Optional.empty(), Optional.empty(), Optional.of(60)));
    Film other = titled(film("x7"), "u1", "Soft main title", "Salt Carousel");
    other = titled(other, "u2", "End card", "The end");
    other = titled(other, "u3", "Typed card", "Somewhere south");
    Edit edit = style.onto(other).orElseThrow();
    Film after = edit.apply(other);
    assertThat(after.finish().treatments()).isEqualTo(styled().finish().treatments());
    assertThat(after.finish().end()).isEqualTo(new EndFade(20));
    assertThat(after.captionsIn("en").style().kind()).isEqualTo(CaptionKind.FEW_WORDS);
    FilmTitle main = after.title("u1").orElseThrow();
    assertThat(main.lettering()).isEqualTo(Designs.named("Carved main title").lettering());
    assertThat(main.words().text()).as("a film has its own name").isEqualTo("Salt Carousel");
    assertThat(after.title("u2").orElseThrow().words().text()).isEqualTo("More on Friday");
    assertThat(after.title("u3")).as("of another kind").isEqualTo(other.title("u3"));
    assertThat(after.placements()).isEqualTo(other.placements());
    assertThat(style.onto(after)).as("it has it already").isEmpty();
    assertThat(edit.inverse(other).apply(after)).isEqualTo(other);
  }

  @Test
  void aStyleHasANameAndOneDesignOfAKind() {
    assertThatThrownBy(() -> ChannelStyle.of("", styled(), List.of(), SHEET))
        .hasMessageContaining("name");
    ChannelStyle style = ChannelStyle.of("Thistle", styled(), List.of(), SHEET);
    assertThat(style.designs()).hasSize(2);
    assertThat(style.families()).contains("Cinzel").doesNotContain("Our sign");
    ChannelStyle signed =
        new ChannelStyle(
            "Thistle",
            Optional.of(new Sign("N. P.", Face.of("Our sign"))),
            style.designs(),
            style.captions(),
            style.treatments(),
            style.end(),
            List.of(),
            "",
            List.of());
    assertThat(signed.families()).as("a badge's is one of them").contains("Our sign");
    assertThatThrownBy(
            () ->
                new ChannelStyle(
                    "Thistle",
                    style.badge(),
                    List.of(style.designs().get(0), style.designs().get(0)),
                    style.captions(),
                    style.treatments(),
                    style.end(),
                    List.of(),
                    "",
                    List.of()))
        .hasMessageContaining("one design for each kind");
  }
}
