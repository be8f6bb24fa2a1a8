package app.latethistle.core.type;

import app.latethistle.core.words.Arrival;
import java.awt.geom.Point2D;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/** How each letter of a title stands in a frame. */
final class Entering {
  private final WrittenTitle title;
  private final Units in;
  private final Units out;
  private final long frame;
  private final List<Rectangle2D> boxes;

  Entering(WrittenTitle title, SetText text, long frame) {
    this.title = title;
    this.frame = frame;
    Arrival comes = title.movement().in();
    Arrival goes = title.movement().out();
    in = Units.of(text, comes.unit(), comes.order(), comes.seed());
    out = Units.of(text, goes.unit(), goes.order(), goes.seed());
    boxes = new ArrayList<>(Collections.nCopies(in.count(), null));
    int index = 0;
    for (SetLine line : text.lines()) {
      for (Letter letter : line.shaped().letters()) {
        Rectangle2D box =
            new Rectangle2D.Double(
                line.x() + letter.x(), line.box().getY(), letter.advance(), line.box().getHeight());
        int unit = in.of().get(index++);
        boxes.set(unit, boxes.get(unit) == null ? box : boxes.get(unit).createUnion(box));
      }
    }
  }

  /** The middle of what a letter comes with. */
  Point2D middle(int letter) {
    Rectangle2D box = boxes.get(in.of().get(letter));
    return new Point2D.Double(box.getCenterX(), box.getCenterY());
  }

  Pose pose(int letter) {
    int unit = in.of().get(letter);
    int left = out.of().get(letter);
    double come = Progress.in(title, in.turns().get(unit), in.count(), frame);
    double stay = Progress.out(title, out.turns().get(left), out.count(), frame);
    Arrival comes = title.movement().in();
    Arrival goes = title.movement().out();
    return Pose.of(comes.kind(), come, comes.seed() * 97 + unit)
        .and(Pose.of(goes.kind(), stay, goes.seed() * 89 + left));
  }

  /** How much of it all is there. */
  double mean() {
    double sum = 0;
    for (int unit = 0; unit < in.count(); unit++) {
      sum += Progress.in(title, in.turns().get(unit), in.count(), frame);
    }
    double stays = 0;
    for (int unit = 0; unit < out.count(); unit++) {
      stays += Progress.out(title, out.turns().get(unit), out.count(), frame);
    }
    return sum / in.count() * stays / out.count();
  }
}
