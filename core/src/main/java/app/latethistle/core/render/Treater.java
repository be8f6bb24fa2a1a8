package app.latethistle.core.render;

import app.latethistle.core.picture.Frame;
import app.latethistle.core.picture.TreatmentPainter;
import app.latethistle.core.time.FrameRate;
import java.util.ArrayList;
import java.util.List;

/** Draws the treatments of a layer one after the other, between two frames of its own. */
final class Treater {
  private final Layer.Treated layer;
  private final FrameRate rate;
  private final List<TreatmentPainter> painters = new ArrayList<>();
  private Frame one;
  private Frame other;

  Treater(Layer.Treated layer, FrameRate rate) {
    this.layer = layer;
    this.rate = rate;
  }

  /** A frame with all done to it; valid until the next call and not to be changed. */
  Frame draw(Frame frame, long k) {
    if (one == null) {
      one = new Frame(frame.width(), frame.height());
      other = new Frame(frame.width(), frame.height());
      layer
          .treats()
          .forEach(t -> painters.add(TreatmentPainter.of(t.kind(), frame.width(), frame.height())));
    }
    Frame from = frame;
    for (int i = 0; i < painters.size(); i++) {
      Frame into = from == one ? other : one;
      painters
          .get(i)
          .draw(
              from,
              into,
              layer
                  .treats()
                  .get(i)
                  .setting(
                      k - layer.range().start(),
                      layer.chance().count() + k,
                      rate,
                      layer.chance().seed()));
      from = into;
    }
    return from;
  }
}
