package app.latethistle.server.stored;

import app.latethistle.core.look.Appearance;
import app.latethistle.core.look.Correction;
import app.latethistle.core.look.EndFade;
import app.latethistle.core.look.Finish;
import app.latethistle.core.look.Fit;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.Lie;
import app.latethistle.core.look.Matte;
import app.latethistle.core.look.Shape;
import app.latethistle.core.look.ShapedFraming;
import app.latethistle.core.look.Treatments;
import java.util.List;
import java.util.TreeMap;

/** The values of look as they are stored. */
final class StoredLook {
  private StoredLook() {}

  record Framed(String fit) {
    static Framed of(Framing framing) {
      return new Framed(framing.fit().name());
    }

    Framing get() {
      return new Framing(Fit.valueOf(fit));
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
