package app.latethistle.core.render;

import app.latethistle.core.film.Aspect;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.FilmTitle;
import app.latethistle.core.film.Films;
import app.latethistle.core.film.Overlay;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Put;
import app.latethistle.core.film.Run;
import app.latethistle.core.film.SetAspect;
import app.latethistle.core.film.Standing;
import app.latethistle.core.film.Tie;
import app.latethistle.core.look.Basics;
import app.latethistle.core.look.ColourRange;
import app.latethistle.core.look.Correction;
import app.latethistle.core.look.Dial;
import app.latethistle.core.look.Drive;
import app.latethistle.core.look.Easing;
import app.latethistle.core.look.Finish;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.FramingPath;
import app.latethistle.core.look.Key;
import app.latethistle.core.look.Lie;
import app.latethistle.core.look.LiePath;
import app.latethistle.core.look.Mask;
import app.latethistle.core.look.Matte;
import app.latethistle.core.look.Mixing;
import app.latethistle.core.look.Parameter;
import app.latethistle.core.look.PicturePart;
import app.latethistle.core.look.ShapedFraming;
import app.latethistle.core.look.Span;
import app.latethistle.core.look.Transition;
import app.latethistle.core.look.TransitionKind;
import app.latethistle.core.look.Treatment;
import app.latethistle.core.look.TreatmentKind;
import app.latethistle.core.look.Treatments;
import app.latethistle.core.look.View;
import app.latethistle.core.words.Arrival;
import app.latethistle.core.words.ArrivalKind;
import app.latethistle.core.words.Design;
import app.latethistle.core.words.Designs;
import app.latethistle.core.words.Movement;
import app.latethistle.core.words.Order;
import app.latethistle.core.words.Unit;
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
      if (random.nextInt(4) == 0) {
        film = SetAspect.of(Aspect.TREATMENTS, shot.id(), treatments(random)).apply(film);
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
      if (random.nextInt(3) == 0) {
        Key key = Key.of(random.nextInt(0x1000000));
        Mask mask = Mask.usual(one(random, Mask.Kind.values()));
        Matte matte = random.nextBoolean() ? Matte.of(key) : Matte.NONE.and(mask);
        over = over.withAppearance(over.how().withMatte(matte));
      }
      if (random.nextInt(3) == 0) {
        over = over.withAppearance(over.how().withCorrection(correction(random)));
      }
      if (random.nextInt(4) == 0) {
        over =
            Placement.gap("o" + layer)
                .withAppearance(over.how().withTreatments(treatments(random)));
      }
      Overlay overlay =
          Overlay.whole(layer, over, Tie.free(start), Tie.free(start + 1 + random.nextInt(60)));
      film = Put.overlay(overlay.withLie(lie(random)).withMixing(mixing(random))).apply(film);
    }
    for (int i = 0; i < random.nextInt(3); i++) {
      film = Put.title(title("t" + i, random)).apply(film);
    }
    if (random.nextInt(4) == 0) {
      Finish finish = film.finish().withTreatments(treatments(random));
      film = SetAspect.of(Aspect.FINISH, "", finish).apply(film);
    }
    return film;
  }

  /** A title of any design, coming and going anyhow, over any layer. */
  private static FilmTitle title(String id, Random random) {
    Design design = Designs.ALL.get(random.nextInt(Designs.ALL.size()));
    Arrival in =
        new Arrival(
            one(random, ArrivalKind.values()),
            one(random, Unit.values()),
            one(random, Order.values()),
            random.nextInt(12),
            random.nextInt(9));
    Standing standing = Standing.of(Tie.free(random.nextInt(70)), 1 + random.nextInt(30));
    return FilmTitle.of(id, design, standing)
        .withMovement(
            new Movement(
                in,
                design.movement().out(),
                random.nextInt(6) == 0 ? Movement.Course.ROLLS : Movement.Course.STANDS))
        .withLayer(random.nextInt(5));
  }

  /** The five numbers anywhere in their usual ranges. */
  static Correction correction(Random random) {
    Correction correction = Correction.of(basics(random));
    if (random.nextBoolean()) {
      return correction;
    }
    PicturePart where =
        new PicturePart(
            List.of(Mask.usual(one(random, Mask.Kind.values()))), one(random, Matte.Part.values()));
    return correction.withRanges(List.of(ColourRange.ofAll(where, basics(random))));
  }

  private static Basics basics(Random random) {
    return new Basics(
        random.nextInt(-100, 101),
        random.nextInt(-40, 41),
        random.nextInt(-40, 41),
        random.nextInt(-40, 41),
        random.nextInt(-60, 61));
  }

  /** One or two of any kind, their values anywhere in their ranges, some of them driven. */
  static Treatments treatments(Random random) {
    Treatment[] list = new Treatment[1 + random.nextInt(2)];
    for (int i = 0; i < list.length; i++) {
      TreatmentKind kind =
          List.of(TreatmentKind.values()).get(random.nextInt(TreatmentKind.values().length));
      list[i] =
          new Treatment(
              kind,
              kind.parameters().stream().map(p -> dial(p, random)).toList(),
              random.nextInt(6) == 0);
    }
    return Treatments.of(list);
  }

  private static Dial dial(Parameter p, Random random) {
    int value = p.least() + random.nextInt(p.most() - p.least() + 1);
    if (random.nextInt(3) > 0) {
      return Dial.at(value);
    }
    Drive.Source source = List.of(Drive.Source.values()).get(random.nextInt(4));
    int to = p.least() + random.nextInt(p.most() - p.least() + 1);
    return Dial.driven(value, new Drive(source, to, random.nextInt(200), random.nextInt(800)));
  }

  static Program of(Random random) {
    return of(film(random), Drawn.WIDTH, Drawn.HEIGHT);
  }

  static Program of(Film film, int width, int height) {
    return Program.of(Films.resolved(film), width, height);
  }

  private static Run run(Random random) {
    return new Run(
        List.of(Run.Way.values()).get(random.nextInt(4)),
        25 + random.nextInt(376),
        25 + random.nextInt(376),
        List.of(Run.Between.values()).get(random.nextInt(3)));
  }

  /** Of any kind, up to more than two beats long; one by a pattern may go by a take's picture. */
  static Transition transition(Random random) {
    TransitionKind kind =
        List.of(TransitionKind.values())
            .get(1 + random.nextInt(TransitionKind.values().length - 1));
    Span span =
        random.nextBoolean()
            ? Span.frames(1 + random.nextInt(30))
            : Span.quarterBeats(1 + random.nextInt(9));
    String picture =
        kind == TransitionKind.LUMA && random.nextBoolean() ? "media-b" + random.nextInt(10) : "";
    return Transition.of(kind, span)
        .lying(List.of(Transition.Lies.values()).get(random.nextInt(3)))
        .withManner(
            kind.usual()
                .withAngle(random.nextInt(360))
                .withSoftness(random.nextInt(101))
                .withPicture(picture));
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

  private static <E> E one(Random random, E[] values) {
    return values[random.nextInt(values.length)];
  }

  private static LiePath lie(Random random) {
    return switch (random.nextInt(3)) {
      case 0 -> LiePath.WHOLE;
      case 1 -> LiePath.still(anyLie(random));
      default -> LiePath.of(anyLie(random), anyLie(random), Easing.SLOW_BOTH);
    };
  }

  private static Lie anyLie(Random random) {
    return new Lie(
        random.nextInt(101),
        100 + random.nextInt(1500),
        random.nextInt(1000),
        random.nextInt(1000),
        random.nextBoolean() ? 0 : random.nextInt(36_000));
  }

  private static Mixing mixing(Random random) {
    return random.nextBoolean() ? Mixing.NORMAL : one(random, Mixing.values());
  }
}
