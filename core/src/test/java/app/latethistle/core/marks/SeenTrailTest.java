package app.latethistle.core.marks;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.film.Film;
import app.latethistle.core.film.Films;
import app.latethistle.core.film.Following;
import app.latethistle.core.film.Overlay;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.film.Tie;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.FramingPath;
import app.latethistle.core.look.Lie;
import app.latethistle.core.look.LiePath;
import app.latethistle.core.look.Mixing;
import app.latethistle.core.look.Shape;
import app.latethistle.core.look.View;
import app.latethistle.core.measure.Trail;
import app.latethistle.core.time.FrameRange;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Takes of 1280x720; a place that goes from the left to the right in their frames 10 to 49. */
class SeenTrailTest {
  private static final Shape WIDE = Shape.of(16, 9);
  private static final Trail TRAIL =
      new Trail(
          10, IntStream.range(0, 40).mapToObj(i -> Trail.Spot.of(0.3 + 0.01 * i, 0.25)).toList());

  private static Resolved film(Framing framing) {
    Film film =
        Films.cut(
            List.of(
                Placement.of("s0", "a0", 0, Framing.FILL),
                Placement.of("s1", "a1", 10, framing),
                Placement.of("s2", "a2", 0, Framing.FILL)),
            List.of(Tie.free(0), Tie.free(30), Tie.free(60), Tie.free(90)));
    return Films.resolved(film);
  }

  private static SeenTrail seen(Resolved film, String take, Optional<Shape> other) {
    return SeenTrail.of(film, new Following(take, TRAIL), other, other.orElse(WIDE)).orElseThrow();
  }

  private static void isAt(Trail.Place place, double x, double y) {
    assertThat(place.x()).isCloseTo(x, within(1e-9));
    assertThat(place.y()).isCloseTo(y, within(1e-9));
  }

  @Test
  void itIsSeenWhereTheShotShowsItAndStaysBesideTheShot() {
    SeenTrail seen = seen(film(Framing.FILL), "a1", Optional.empty());
    isAt(seen.at(30), 0.3, 0.25);
    isAt(seen.at(45), 0.45, 0.25);
    isAt(seen.at(59), 0.59, 0.25);
    isAt(seen.at(70), 0.59, 0.25);
    isAt(seen.at(-5), 0.3, 0.25);
    assertThat(seen.known()).isEqualTo(new SeenTrail.Known("s1", new FrameRange(30, 60), true));
  }

  @Test
  void anotherShapeShowsLessOfTheTake() {
    SeenTrail seen = seen(film(Framing.FILL), "a1", Optional.of(Shape.of(1, 1)));
    isAt(seen.at(45), 0.5 - 0.05 * 16 / 9, 0.25);
  }

  @Test
  void aCloserViewMovesItOutwards() {
    Framing closer = Framing.along(FramingPath.still(new View(2000, 1000, 0, 0)));
    SeenTrail seen = seen(film(closer), "a1", Optional.empty());
    // Twice as large, about what lies a tenth of the take right of its middle.
    isAt(seen.at(45), 0.5 + 2 * (0.45 - 0.6), 0);
  }

  @Test
  void whatLiesOverTheCutTakesItAlong() {
    Lie lie = Lie.WHOLE.at(500, 250, 750);
    Overlay over =
        new Overlay(
            1,
            Placement.of("o", "b0", 10, Framing.FILL),
            new Overlay.Ties(Tie.free(20), Tie.free(50)),
            LiePath.still(lie.turned(9_000)),
            Mixing.NORMAL);
    Resolved film = film(Framing.FILL);
    SeenTrail seen =
        seen(film.with(film.film().withOverlays(List.of(over))), "b0", Optional.empty());
    // Half as large and turned by a quarter, clockwise: what was above lies to the right.
    isAt(seen.at(35), 0.25 + 0.25 * 0.5 * 9 / 16, 0.75 - 0.05 * 0.5 * 16 / 9);
  }

  @Test
  void whatTheShotShowsBesideItIsNotKnown() {
    Resolved film = film(Framing.FILL);
    SeenTrail seen = seen(film, "a0", Optional.empty());
    assertThat(seen.known()).isEqualTo(new SeenTrail.Known("s0", new FrameRange(10, 30), false));
    assertThat(SeenTrail.of(film, new Following("b9", TRAIL), Optional.empty(), WIDE)).isEmpty();
    assertThat(SeenTrail.of(film, new Following("gone", TRAIL), Optional.empty(), WIDE)).isEmpty();
  }

  /** A focus goes through the places of the frames that its shot shows. */
  @Test
  void itsPlacesInTheTakeAreThoseOfTheShot() {
    Resolved film = film(Framing.FILL);
    List<Trail.Place> places =
        SeenTrail.shown(film, "s1", new Following("a1", TRAIL), 3).orElseThrow();
    assertThat(places).hasSize(3);
    isAt(places.get(0), 0.3, 0.25);
    isAt(places.get(1), 0.44, 0.25);
    isAt(places.get(2), 0.59, 0.25);
    assertThat(SeenTrail.shown(film, "s0", new Following("a1", TRAIL), 3)).isEmpty();
    assertThat(SeenTrail.shown(film, "gone", new Following("a1", TRAIL), 3)).isEmpty();
  }
}
