package app.latethistle.core.render;

import app.latethistle.core.film.FilmTitle;
import app.latethistle.core.film.Hits;
import app.latethistle.core.film.Overlay;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.grade.Grading;
import app.latethistle.core.grade.Signal;
import app.latethistle.core.look.Correction;
import app.latethistle.core.look.Finish;
import app.latethistle.core.look.Levelling;
import app.latethistle.core.look.Matte;
import app.latethistle.core.look.Shape;
import app.latethistle.core.look.Transition;
import app.latethistle.core.look.TransitionManner;
import app.latethistle.core.look.TreatmentKind;
import app.latethistle.core.look.Treatments;
import app.latethistle.core.measure.Light;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRange;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.ToIntFunction;
import java.util.stream.LongStream;
import java.util.stream.Stream;

/** Makes a program of a resolved film, from the cut upwards. */
final class ProgramMaker {
  private final Resolved film;
  private final Optional<Shape> other;
  private final Hits hits;
  private FilmWritings writings;

  /**
   * @param other the shape, if it is another than the film's own
   */
  ProgramMaker(Resolved film, Optional<Shape> other) {
    this.film = film;
    this.other = other;
    hits = new Hits(film);
  }

  Program of(int width, int height) {
    writings = new FilmWritings(film, other, other.orElse(Shape.of(width, height)));
    long length = film.cutting().length();
    Finish finish = film.film().finish();
    Layer layers = overlaid(cut());
    layers =
        treated(layers, new FrameRange(0, length), 0, finish.treatments(), new Layer.Chance(0, 0));
    layers = written(layers, writings.over(FilmTitle.TOP));
    if (finish.end().frames() > 0) {
      layers = new Layer.Faded(layers, finish.end(), length);
    }
    return new Program(layers, length, film.rate(), width, height);
  }

  private static Layer written(Layer layer, List<Layer.Inscription> words) {
    return words.isEmpty() ? layer : new Layer.Written(layer, words);
  }

  private Layer cut() {
    List<Layer.Part> cut = new ArrayList<>();
    List<Layer.Passage> passages = new ArrayList<>();
    List<Placement> placements = film.film().placements();
    for (int i = 0; i < placements.size(); i++) {
      FrameRange own = film.cutting().rangeOf(i);
      FrameRange seen = film.cutting().seenOf(i);
      FrameRange before = film.cutting().overlaps().get(i).frames();
      cut.add(new Layer.Part(seen, own.start(), shot(placements.get(i), own, seen)));
      if (!before.isEmpty()) {
        Transition how = film.film().joints().get(i).transition();
        passages.add(new Layer.Passage(before, i, how.kind(), manner(how)));
      }
    }
    return new Layer.Sequence(cut, passages);
  }

  /** A transition's manner; a still that is not there any more is not asked for. */
  private TransitionManner manner(Transition how) {
    boolean known = film.takeOfFile(how.manner().picture()).isPresent();
    return known ? how.manner() : how.manner().withPicture("");
  }

  /** What lies over the cut; one of no shot treats all that lies under it. */
  private Layer overlaid(Layer cut) {
    FrameRange whole = new FrameRange(0, film.cutting().length());
    Layer layers = written(cut, writings.over(0));
    int layer = 0;
    List<Layer.Over> overs = new ArrayList<>();
    List<Overlay> upwards =
        film.film().overlays().stream().sorted(Comparator.comparingInt(Overlay::layer)).toList();
    for (Overlay o : upwards) {
      for (; layer < o.layer(); layer++) {
        List<Layer.Inscription> between = layer == 0 ? List.of() : writings.over(layer);
        if (!between.isEmpty()) {
          layers = written(stacked(layers, overs), between);
          overs = new ArrayList<>();
        }
      }
      FrameRange range = film.cutting().beside().overlays().get(o.name());
      if (range == null || !whole.overlaps(range)) {
        continue;
      }
      if (!o.placement().hasPicture()) {
        layers = stacked(layers, overs);
        overs = new ArrayList<>();
        layers =
            treated(
                layers,
                range.intersect(whole).orElseThrow(),
                0,
                o.placement().how().treatments(),
                new Layer.Chance(seed(o.name()), -range.start()));
      } else if (film.takes().containsKey(o.placement().take())) {
        overs.add(
            new Layer.Over(
                new Layer.Part(range, shot(o.placement(), range, range)), o.lie(), o.mixing()));
      }
    }
    layers = stacked(layers, overs);
    for (layer = Math.max(1, layer); layer <= Overlay.LAYERS; layer++) {
      layers = written(layers, writings.over(layer));
    }
    return layers;
  }

  private static Layer stacked(Layer base, List<Layer.Over> overs) {
    return overs.isEmpty() ? base : new Layer.Stack(base, overs);
  }

  /**
   * A shot as it is seen, treated.
   *
   * @param own its frames
   * @param seen those in which it is seen: more where a transition shows more
   */
  private Layer shot(Placement p, FrameRange own, FrameRange seen) {
    Take take = film.takes().get(p.take());
    if (take == null) {
      return new Layer.Black();
    }
    FrameRange counted = seen.shift(-own.start());
    Layer.Footage footage =
        new Layer.Footage(
            take.media(),
            take.frames(),
            p.in(),
            p.run(),
            own.length(),
            other.map(o -> p.framing().in(o, take.shape())).orElse(p.framing().own()),
            counted);
    Correction correction = p.how().correction();
    Layer levelled = levelled(footage, p.how().levelling(), counted);
    Layer corrected =
        correction.leavesAll()
            ? levelled
            : new Layer.Corrected(levelled, correction, parts(correction, take, footage));
    long count = p.run().plain() ? p.in() : p.run().since();
    Layer picture =
        treated(
            corrected,
            counted,
            own.start(),
            p.how().treatments(),
            new Layer.Chance(seed(take.media()), count));
    Matte wanted = corrected(p.how().matte(), correction);
    Matte matte = take.subject().isPresent() ? wanted : wanted.withPart(Matte.Part.ALL);
    Optional<Layer.Footage> subject =
        take.subject().filter(file -> matte.part() != Matte.Part.ALL).map(footage::of);
    return matte.isNone() ? picture : new Layer.Matted(picture, matte, subject);
  }

  private static Optional<Layer.Parts> parts(
      Correction correction, Take take, Layer.Footage footage) {
    if (correction.placed().isEmpty()) {
      return Optional.empty();
    }
    boolean asks = correction.placed().stream().anyMatch(r -> r.where().of() != Matte.Part.ALL);
    return Optional.of(
        new Layer.Parts(take.shape(), take.subject().filter(file -> asks).map(footage::of)));
  }

  /** A take with its light made even, if that was measured of this take. */
  private static Layer levelled(Layer.Footage footage, Levelling levelling, FrameRange seen) {
    if (levelling.leaves(footage.media())) {
      return footage;
    }
    List<Light> added =
        LongStream.range(seen.start(), seen.end())
            .mapToObj(k -> levelling.added(footage.frame(k)))
            .toList();
    return new Layer.Treated(
        footage,
        seen,
        List.of(
            new Treat(
                TreatmentKind.LEVEL,
                Stream.<ToIntFunction<Light>>of(Light::red, Light::green, Light::blue)
                    .map(
                        of ->
                            Treat.Track.of(
                                added.stream().mapToDouble(of::applyAsInt).boxed().toList()))
                    .toList(),
                "")),
        new Layer.Chance(0, 0));
  }

  /** A matte whose backings are sought as the correction shows them. */
  private static Matte corrected(Matte matte, Correction correction) {
    if (correction.leavesAll() || matte.keys().isEmpty()) {
      return matte;
    }
    Grading grading = Grading.of(correction);
    return new Matte(
        matte.keys().stream()
            .map(k -> k.withColour(grading.apply(Signal.of(k.colour())).rgb()))
            .toList(),
        matte.masks(),
        matte.part(),
        matte.wrap());
  }

  private Layer treated(
      Layer layer, FrameRange range, long start, Treatments treatments, Layer.Chance chance) {
    List<Treat> treats =
        treatments.done().stream().map(t -> Treat.of(t, hits, range.shift(start))).toList();
    return treats.isEmpty() || range.isEmpty()
        ? layer
        : new Layer.Treated(layer, range, treats, chance);
  }

  /** What chance hangs on: the name of what is treated. */
  private static long seed(String name) {
    return name.hashCode();
  }
}
