package app.latethistle.core.render;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.film.FilmTitle;
import app.latethistle.core.film.Standing;
import app.latethistle.core.film.Tie;
import app.latethistle.core.film.TitlePlace;
import app.latethistle.core.words.Design;
import app.latethistle.core.words.Designs;
import app.latethistle.core.words.Movement;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class PagesTest {
  private static FilmTitle title(String text, Movement.Course course) {
    Design design = Designs.named("Page of credits");
    Movement movement = new Movement(design.movement().in(), design.movement().out(), course);
    return FilmTitle.of("t", design, Standing.of(Tie.free(0), 240))
        .withWords(design.saying(text, ""))
        .withMovement(movement);
  }

  @Test
  void blankLinesPartATitleThatTurnsAndNoOther() {
    String text = "cut by: a name\nmusic: another\n\nvoice: one more";
    TitlePlace place = new TitlePlace(88, 100, 340);
    assertThat(Pages.of(title(text, Movement.Course.STANDS), place)).hasSize(1);
    assertThat(Pages.of(title(text, Movement.Course.ROLLS), place)).hasSize(1);
    List<Pages.Page> pages = Pages.of(title(text, Movement.Course.TURNS), place);
    assertThat(pages)
        .extracting(page -> page.words().text())
        .containsExactly("cut by: a name\nmusic: another", "voice: one more");
    assertThat(pages.get(0).at().landing()).isEqualTo(100);
    // Six words to three of nine in 240 frames.
    assertThat(pages.get(0).at().end()).isEqualTo(100 + 240 * 6 / 9);
  }

  /** Whatever there is to read in whatever time: each page is seen, one after another. */
  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void pagesFollowEachOtherWithoutAGap(long seed) {
    Random random = new Random(seed);
    int count = 1 + random.nextInt(8);
    StringBuilder text = new StringBuilder();
    for (int i = 0; i < count; i++) {
      text.append("word ".repeat(1 + random.nextInt(9))).append("\n \n");
    }
    long landing = 10L + random.nextInt(20);
    TitlePlace place = new TitlePlace(10, landing, landing + count + (long) random.nextInt(200));
    List<Pages.Page> pages = Pages.of(title(text.toString(), Movement.Course.TURNS), place);
    assertThat(pages).hasSize(count);
    assertThat(pages.get(0).at().start()).isEqualTo(place.start());
    assertThat(pages.get(count - 1).at().end()).isEqualTo(place.end());
    for (int i = 0; i < count; i++) {
      TitlePlace at = pages.get(i).at();
      assertThat(at.landing()).isBetween(at.start(), at.end() - 1);
      if (i > 0) {
        assertThat(at.start()).isEqualTo(pages.get(i - 1).at().end());
      }
    }
  }
}
