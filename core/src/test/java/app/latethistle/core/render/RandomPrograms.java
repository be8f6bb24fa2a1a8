package app.latethistle.core.render;

import app.latethistle.core.film.Aspect;
import app.latethistle.core.film.Cutting;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.Films;
import app.latethistle.core.film.Overlay;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Put;
import app.latethistle.core.film.Run;
import app.latethistle.core.film.SetAspect;
import app.latethistle.core.film.Tie;
import app.latethistle.core.look.Easing;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.FramingPath;
import app.latethistle.core.look.Lie;
import app.latethistle.core.look.ShapedFraming;
import app.latethistle.core.look.Span;
import app.latethistle.core.look.Transition;
import app.latethistle.core.look.TransitionKind;
import app.latethistle.core.look.View;
import java.util.List;
import java.util.Random;

/** Programs of films from a seed: shots that run in every way, transitions, overlays, a fade. */
final class RandomPrograms {
  private RandomPrograms() {}

  static Film film(Random random) {
    Film film = Films.film(random);
    for (Placement shot : film.placements()) {
      if (random.nextBoolean()) {
        film = SetAspect.of(Aspect.RUN, shot.id(), run(random)).apply(film);
      }
      if (random.nextInt(3) == 0) {
        ShapedFraming framing = shot.framing().withOwn(framing(random));
        film = SetAspect.of(Aspect.FRAMING, shot.id(), framing).apply(film);
      }
    }
    for (int joint = 1; joint < film.placements().size(); joint++) {
      if (random.nextInt(3) == 0) {
        film =
            SetAspect.of(Aspect.TRANSITION, film.jointName(joint), transition(random)).apply(film);
      }
    }
    for (int layer = 1; layer <= random.nextInt(4); layer++) {
      Placement over =
          Placement.of("o" + layer, "b" + layer, random.nextInt(30), framing(random))
              .withRun(run(random));
      long start = random.nextInt(60);
      Overlay overlay =
          Overlay.whole(layer, over, Tie.free(start), Tie.free(start + 1 + random.nextInt(60)));
      Lie lie =
          random.nextInt(3) == 0
              ? Lie.WHOLE
              : new Lie(
                  1 + random.nextInt(100),
                  10 + random.nextInt(91),
                  random.nextInt(101),
                  random.nextInt(101));
      film = Put.overlay(overlay.withLie(lie)).apply(film);
    }
    return film;
  }

  static Program of(Random random) {
    return of(film(random), Drawn.WIDTH, Drawn.HEIGHT);
  }

  static Program of(Film film, int width, int height) {
    Cutting cutting = Cutting.of(film, Films.GRID, Films.RATE, Films.takes());
    return Program.of(film, cutting, Films.takes(), Films.RATE, width, height);
  }

  private static Run run(Random random) {
    return new Run(
        List.of(Run.Way.values()).get(random.nextInt(4)),
        25 + random.nextInt(376),
        25 + random.nextInt(376),
        List.of(Run.Between.values()).get(random.nextInt(3)));
  }

  /** Of any kind, up to more than two beats long. */
  static Transition transition(Random random) {
    TransitionKind kind =
        List.of(TransitionKind.values())
            .get(1 + random.nextInt(TransitionKind.values().length - 1));
    Span span =
        random.nextBoolean()
            ? Span.frames(1 + random.nextInt(30))
            : Span.quarterBeats(1 + random.nextInt(9));
    return Transition.of(kind, span)
        .lying(List.of(Transition.Lies.values()).get(random.nextInt(3)))
        .withManner(kind.usual().withAngle(random.nextInt(360)).withSoftness(random.nextInt(101)));
  }

  private static View view(Random random) {
    return new View(
        1000 + random.nextInt(1000),
        random.nextInt(2000) - 1000,
        random.nextInt(2000) - 1000,
        random.nextInt(3) == 0 ? random.nextInt(6000) - 3000 : 0);
  }

  private static Framing framing(Random random) {
    if (random.nextInt(3) == 0) {
      Easing easing = List.of(Easing.values()).get(random.nextInt(4));
      return Framing.along(FramingPath.of(view(random), view(random), easing));
    }
    return List.of(Framing.FILL, Framing.FIT, Framing.SOFT).get(random.nextInt(3));
  }
}
