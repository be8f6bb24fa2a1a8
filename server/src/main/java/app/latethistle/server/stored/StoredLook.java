package app.latethistle.server.stored;

import app.latethistle.core.look.Appearance;
import app.latethistle.core.look.Correction;
import app.latethistle.core.look.Easing;
import app.latethistle.core.look.EndFade;
import app.latethistle.core.look.Finish;
import app.latethistle.core.look.Fit;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.FramingPath;
import app.latethistle.core.look.Lie;
import app.latethistle.core.look.LumaPattern;
import app.latethistle.core.look.Matte;
import app.latethistle.core.look.Shape;
import app.latethistle.core.look.ShapedFraming;
import app.latethistle.core.look.Span;
import app.latethistle.core.look.Transition;
import app.latethistle.core.look.TransitionKind;
import app.latethistle.core.look.TransitionManner;
import app.latethistle.core.look.Treatments;
import app.latethistle.core.look.View;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;

/** The values of look as they are stored. */
final class StoredLook {
  private StoredLook() {}

  /** A framing; those stored first had no path. */
  record Framed(String fit, Path path) {
    static Framed of(Framing framing) {
      return new Framed(framing.fit().name(), framing.path().map(Path::of).orElse(null));
    }

    Framing get() {
      return new Framing(Fit.valueOf(fit), Optional.ofNullable(path).map(Path::get));
    }
  }

  /** A camera's move. */
  record Path(List<Station> points, String easing, double from, double to) {
    static Path of(FramingPath path) {
      return new Path(
          path.points().stream().map(Station::of).toList(),
          path.easing().name(),
          path.from(),
          path.to());
    }

    FramingPath get() {
      return new FramingPath(
          points.stream().map(Station::get).toList(), Easing.valueOf(easing), from, to);
    }
  }

  /** What is seen at a time of a move. */
  record Station(int at, int size, int right, int down, int turn) {
    static Station of(FramingPath.Point p) {
      View view = p.view();
      return new Station(p.at(), view.size(), view.right(), view.down(), view.turn());
    }

    FramingPath.Point get() {
      return new FramingPath.Point(at, new View(size, right, down, turn));
    }
  }

  /** A framing in another shape than the film's own. */
  record Elsewhere(int across, int down, Framed framing) {}

  record Shaped(Framed own, List<Elsewhere> others) {
    static Shaped of(ShapedFraming framing) {
      return new Shaped(
          Framed.of(framing.own()),
          framing.others().entrySet().stream()
              .map(
                  e ->
                      new Elsewhere(
                          e.getKey().across(), e.getKey().down(), Framed.of(e.getValue())))
              .toList());
    }

    ShapedFraming get() {
      TreeMap<Shape, Framing> elsewhere = new TreeMap<>();
      others.forEach(o -> elsewhere.put(Shape.of(o.across, o.down), o.framing.get()));
      return new ShapedFraming(own.get(), elsewhere);
    }
  }

  /** Treatments, matte and correction have nothing to say yet. */
  record Look(Shaped framing) {
    static Look of(Appearance look) {
      return new Look(Shaped.of(look.framing()));
    }

    Appearance get() {
      return new Appearance(framing.get(), Treatments.NONE, Matte.NONE, Correction.NONE);
    }
  }

  /** A transition; of those stored first nothing is said, for they were plain cuts. */
  record Passing(String kind, Long amount, String unit, String lies, Way way, Boolean holds) {
    static Passing of(Transition t) {
      return new Passing(
          t.kind().name(),
          t.span().amount(),
          t.span().unit().name(),
          t.lies().name(),
          Way.of(t.manner()),
          t.holds());
    }

    Transition get() {
      return new Transition(
          TransitionKind.valueOf(kind),
          new Span(amount, Span.Unit.valueOf(unit)),
          Transition.Lies.valueOf(lies),
          way.get(),
          holds);
    }
  }

  /** In what manner a transition goes. */
  record Way(int angle, int softness, int colour, String pattern) {
    static Way of(TransitionManner m) {
      return new Way(m.angle(), m.softness(), m.colour(), m.pattern().name());
    }

    TransitionManner get() {
      return new TransitionManner(angle, softness, colour, LumaPattern.valueOf(pattern));
    }
  }

  record Lying(int opacity, int size, int x, int y) {
    static Lying of(Lie lie) {
      return new Lying(lie.opacity(), lie.size(), lie.x(), lie.y());
    }

    Lie get() {
      return new Lie(opacity, size, x, y);
    }
  }

  record Finished(long fade) {
    static Finished of(Finish finish) {
      return new Finished(finish.end().frames());
    }

    Finish get() {
      return new Finish(new EndFade(fade));
    }
  }
}
