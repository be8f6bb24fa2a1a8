package app.latethistle.server.stored;

import app.latethistle.core.look.Appearance;
import app.latethistle.core.look.Correction;
import app.latethistle.core.look.Dial;
import app.latethistle.core.look.Drive;
import app.latethistle.core.look.Easing;
import app.latethistle.core.look.EndFade;
import app.latethistle.core.look.Finish;
import app.latethistle.core.look.Fit;
import app.latethistle.core.look.Focus;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.FramingPath;
import app.latethistle.core.look.Key;
import app.latethistle.core.look.Lie;
import app.latethistle.core.look.LumaPattern;
import app.latethistle.core.look.Matte;
import app.latethistle.core.look.Shape;
import app.latethistle.core.look.ShapedFraming;
import app.latethistle.core.look.Span;
import app.latethistle.core.look.Transition;
import app.latethistle.core.look.TransitionKind;
import app.latethistle.core.look.TransitionManner;
import app.latethistle.core.look.Treatment;
import app.latethistle.core.look.TreatmentKind;
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

  /** Framings; those stored first had no focus. */
  record Shaped(Framed own, List<Elsewhere> others, Seen focus) {
    static Shaped of(ShapedFraming framing) {
      return new Shaped(
          Framed.of(framing.own()),
          framing.others().entrySet().stream()
              .map(
                  e ->
                      new Elsewhere(
                          e.getKey().across(), e.getKey().down(), Framed.of(e.getValue())))
              .toList(),
          framing.focus().map(Seen::of).orElse(null));
    }

    ShapedFraming get() {
      TreeMap<Shape, Framing> elsewhere = new TreeMap<>();
      others.forEach(o -> elsewhere.put(Shape.of(o.across, o.down), o.framing.get()));
      return new ShapedFraming(own.get(), elsewhere, Optional.ofNullable(focus).map(Seen::get));
    }
  }

  /** What has to be seen in every shape. */
  record Seen(List<Spot> points, int across, int down, double from, double to) {
    /** A place at a time. */
    record Spot(int at, int x, int y) {}

    static Seen of(Focus focus) {
      return new Seen(
          focus.points().stream().map(p -> new Spot(p.at(), p.x(), p.y())).toList(),
          focus.across(),
          focus.down(),
          focus.from(),
          focus.to());
    }

    Focus get() {
      return new Focus(
          points.stream().map(p -> new Focus.Point(p.at, p.x, p.y)).toList(),
          across,
          down,
          from,
          to);
    }
  }

  /** A correction has nothing to say yet; those stored first had no treatments and no matte. */
  record Look(Shaped framing, Done treatments, Cut matte) {
    static Look of(Appearance look) {
      return new Look(Shaped.of(look.framing()), Done.of(look.treatments()), Cut.of(look.matte()));
    }

    Appearance get() {
      return new Appearance(framing.get(), Done.get(treatments), Cut.get(matte), Correction.NONE);
    }
  }

  /** A matte; of those stored first nothing is said, for all of a picture stayed. */
  record Cut(List<Backing> keys) {
    static Cut of(Matte matte) {
      return new Cut(matte.keys().stream().map(Backing::of).toList());
    }

    static Matte get(Cut stored) {
      return stored == null || stored.keys == null
          ? Matte.NONE
          : new Matte(stored.keys.stream().map(Backing::get).toList());
    }
  }

  /** A colour that is taken out. */
  record Backing(int colour, int tolerance, int softness, int spill, int shadow) {
    static Backing of(Key key) {
      return new Backing(key.colour(), key.tolerance(), key.softness(), key.spill(), key.shadow());
    }

    Key get() {
      return new Key(colour, tolerance, softness, spill, shadow);
    }
  }

  /** Treatments; of those stored first nothing is said, for there were none. */
  record Done(List<Treated> list) {
    static Done of(Treatments treatments) {
      return new Done(treatments.list().stream().map(Treated::of).toList());
    }

    static Treatments get(Done stored) {
      return stored == null || stored.list == null
          ? Treatments.NONE
          : new Treatments(stored.list.stream().map(Treated::get).toList());
    }
  }

  /** A treatment. */
  record Treated(String kind, List<Value> values, boolean bypassed) {
    static Treated of(Treatment t) {
      return new Treated(t.kind().name(), t.dials().stream().map(Value::of).toList(), t.bypassed());
    }

    Treatment get() {
      return new Treatment(
          TreatmentKind.valueOf(kind), values.stream().map(Value::get).toList(), bypassed);
    }
  }

  /** A value of a treatment and what it follows. */
  record Value(int value, Followed follows) {
    static Value of(Dial dial) {
      return new Value(dial.value(), dial.drive().map(Followed::of).orElse(null));
    }

    Dial get() {
      return new Dial(value, Optional.ofNullable(follows).map(Followed::get));
    }
  }

  record Followed(String source, int to, int attack, int decay) {
    static Followed of(Drive drive) {
      return new Followed(drive.source().name(), drive.to(), drive.attack(), drive.decay());
    }

    Drive get() {
      return new Drive(Drive.Source.valueOf(source), to, attack, decay);
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

  record Finished(long fade, Done treatments) {
    static Finished of(Finish finish) {
      return new Finished(finish.end().frames(), Done.of(finish.treatments()));
    }

    Finish get() {
      return new Finish(Done.get(treatments), new EndFade(fade));
    }
  }
}
