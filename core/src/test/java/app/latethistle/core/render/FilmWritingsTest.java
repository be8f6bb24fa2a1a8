package app.latethistle.core.render;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.film.Film;
import app.latethistle.core.film.FilmCaptions;
import app.latethistle.core.film.FilmTitle;
import app.latethistle.core.film.Films;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.film.Standing;
import app.latethistle.core.film.Tie;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.Shape;
import app.latethistle.core.take.Box;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.type.WrittenCaption;
import app.latethistle.core.type.WrittenTitle;
import app.latethistle.core.words.Designs;
import app.latethistle.core.words.Fill;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What is written on a film, and where. */
class FilmWritingsTest {
  private static final Shape WIDE = Shape.of(16, 9);

  /** Two shots with a caption over each. */
  private static Film film() {
    FilmCaptions said = FilmCaptions.in("en");
    return Films.cut(
            List.of(
                Placement.of("s0", "a0", 0, Framing.FILL),
                Placement.of("s1", "a1", 0, Framing.FILL)),
            List.of(Tie.free(0), Tie.free(48), Tie.free(96)))
        .withCaptions(
            List.of(
                said.withOwn(
                        List.of(
                            new FilmCaptions.Own(new FrameRange(4, 40), "the water came"),
                            new FilmCaptions.Own(new FrameRange(52, 90), "and stayed")))
                    .withStyle(said.style().burnedInto(true, List.of(Shape.of(1, 1))))));
  }

  private static List<Integer> heights(Resolved film, Optional<Shape> other) {
    return new FilmWritings(film, other, other.orElse(WIDE))
        .over(FilmTitle.TOP).stream()
            .map(one -> ((WrittenCaption) one.writing()).box().y())
            .toList();
  }

  /** A take is seen in the letters as long as the title is; one that is gone leaves the colour. */
  @Test
  void aTakeIsSeenInTheLettersOfATitle() {
    FilmTitle title =
        FilmTitle.of("t", Designs.ALL.get(0), Standing.of(Tie.free(20), 30))
            .withLettering(Designs.ALL.get(0).lettering().withFill(Fill.FILM))
            .withPicture(Optional.of("a1"));
    Layer.Inscription one = inscribed(title);
    Layer.Part picture = one.picture().orElseThrow();
    assertThat(picture.range()).isEqualTo(one.writing().range());
    Layer.Footage footage = (Layer.Footage) picture.layer();
    assertThat(footage.media()).isEqualTo(Films.resolved(film()).takes().get("a1").media());
    assertThat(footage.frame(0)).isZero();
    assertThat(((WrittenTitle) one.writing()).lettering().fill()).isEqualTo(Fill.COLOUR);
    assertThat(inscribed(title.withPicture(Optional.of("gone"))).picture()).isEmpty();
    assertThat(inscribed(title.withPicture(Optional.empty())).picture()).isEmpty();
  }

  private static Layer.Inscription inscribed(FilmTitle title) {
    Resolved film = Films.resolved(film().withCaptions(List.of()).withTitles(List.of(title)));
    return new FilmWritings(film, Optional.empty(), WIDE).over(FilmTitle.TOP).get(0);
  }

  /** A mark in the caption's place sends it up, in the shot that shows it and in no other. */
  @Test
  void captionsKeepClearOfMarks() {
    Resolved bare = Films.resolved(film());
    List<Integer> usual = heights(bare, Optional.empty());
    Map<String, Box> low = Map.of("a1", new Box(0.55, 0.88, 0.7, 0.95));
    List<Integer> clear = heights(Films.marked(bare, low), Optional.empty());
    assertThat(clear.get(0)).isEqualTo(usual.get(0));
    assertThat(clear.get(1)).isLessThan(300);
    Map<String, Box> high = Map.of("a1", new Box(0.9, 0.05, 0.98, 0.1));
    assertThat(heights(Films.marked(bare, high), Optional.empty())).isEqualTo(usual);
    // A square shows the middle of the take alone, and no mark at its side.
    Map<String, Box> beside = Map.of("a1", new Box(0.03, 0.88, 0.15, 0.95));
    Optional<Shape> square = Optional.of(Shape.of(1, 1));
    assertThat(heights(Films.marked(bare, beside), square)).isEqualTo(heights(bare, square));
  }
}
