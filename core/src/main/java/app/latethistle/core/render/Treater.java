package app.latethistle.core.render;

import app.latethistle.core.grade.ColourChange;
import app.latethistle.core.grade.ColourTreatment;
import app.latethistle.core.grade.GivenTable;
import app.latethistle.core.grade.GradeTable;
import app.latethistle.core.grade.GradeTables;
import app.latethistle.core.grade.Grading;
import app.latethistle.core.look.Correction;
import app.latethistle.core.look.TreatmentKind;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.picture.TreatmentPainter;
import app.latethistle.core.picture.TreatmentPainter.Setting;
import app.latethistle.core.time.FrameRate;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Draws the treatments of a layer one after the other, between two frames of its own. Those of
 * colour that follow each other are one table; if they are the first, the correction under them is
 * in it too.
 */
final class Treater {
  private final Layer.Treated layer;
  private final FrameRate rate;
  private final GradeTables tables;
  private final PictureSource source;
  private final Map<String, GivenTable> given = new HashMap<>();
  private final List<Step> steps = new ArrayList<>();
  private Frame one;
  private Frame other;

  /** One treatment, or several that one table does. */
  private interface Step {
    /**
     * @param under what is done to colours before it, in the same table; only the first is asked to
     */
    void draw(Frame from, Frame into, long k, Correction under);
  }

  /** A treatment of colour as it is in a frame. */
  private record OfColour(TreatmentKind kind, List<Double> values, String table) {}

  /** What one table does. */
  private record AllOfColour(Correction under, List<OfColour> changes) {}

  Treater(Layer.Treated layer, FrameRate rate, GradeTables tables, PictureSource source) {
    this.layer = layer;
    this.rate = rate;
    this.tables = tables;
    this.source = source;
  }

  /** Whether a correction can be drawn with what is done first. */
  boolean beginsWithColour() {
    return layer.treats().get(0).kind().ofColour();
  }

  /**
   * A frame with all done to it; valid until the next call and not to be changed.
   *
   * @param under what is done to its colours before; nothing unless it begins with colour
   */
  Frame draw(Frame frame, long k, Correction under) throws IOException {
    if (one == null) {
      one = new Frame(frame.width(), frame.height());
      other = new Frame(frame.width(), frame.height());
      prepare(frame.width(), frame.height());
    }
    Frame from = frame;
    Correction before = under;
    for (Step step : steps) {
      Frame into = from == one ? other : one;
      step.draw(from, into, k, before);
      from = into;
      before = Correction.NONE;
    }
    return from;
  }

  private void prepare(int width, int height) throws IOException {
    List<Treat> treats = layer.treats();
    for (Treat treat : treats) {
      if (!treat.table().isEmpty()) {
        given.put(treat.table(), source.table(treat.table()));
      }
    }
    int i = 0;
    while (i < treats.size()) {
      Treat treat = treats.get(i++);
      if (treat.kind().ofColour()) {
        List<Treat> run = new ArrayList<>(List.of(treat));
        while (i < treats.size() && treats.get(i).kind().ofColour()) {
          run.add(treats.get(i++));
        }
        steps.add((from, into, k, under) -> colour(run, k, under).draw(from, into));
      } else {
        TreatmentPainter painter = TreatmentPainter.of(treat.kind(), width, height);
        steps.add((from, into, k, under) -> painter.draw(from, into, setting(treat, k)));
      }
    }
  }

  private GradeTable colour(List<Treat> run, long k, Correction under) {
    List<OfColour> changes =
        run.stream().map(t -> new OfColour(t.kind(), setting(t, k).values(), t.table())).toList();
    AllOfColour all = new AllOfColour(under, changes);
    return tables.of(all, () -> change(all));
  }

  private ColourChange change(AllOfColour all) {
    return all.changes.stream()
        .map(c -> ColourTreatment.of(c.kind, c.values, Optional.ofNullable(given.get(c.table))))
        .reduce(all.under.leavesAll() ? v -> v : Grading.of(all.under), ColourChange::then);
  }

  private Setting setting(Treat treat, long k) {
    return treat.setting(
        k - layer.range().start(), layer.chance().count() + k, rate, layer.chance().seed());
  }
}
