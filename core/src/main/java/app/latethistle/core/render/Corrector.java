package app.latethistle.core.render;

import app.latethistle.core.grade.GradeTables;
import app.latethistle.core.grade.Grading;
import app.latethistle.core.look.ColourRange;
import app.latethistle.core.look.Matte;
import app.latethistle.core.look.PicturePart;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.picture.PartWeights;
import app.latethistle.core.take.PictureShape;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Draws the correction of a layer into a frame of its own: one table for the whole picture, then
 * one for each range that is meant in a part of it.
 */
final class Corrector {
  /** The longer side at which masks are drawn at most: a hard edge is two pixels of 1920 wide. */
  private static final int MASKED_AT = 960;

  private final Layer.Corrected layer;
  private final GradeTables tables;
  private final List<Placed> placed = new ArrayList<>();
  private Frame drawn;
  private Frame ranged;

  Corrector(Layer.Corrected layer, GradeTables tables) {
    this.layer = layer;
    this.tables = tables;
  }

  /**
   * Draws a frame; valid until the next call.
   *
   * @param reels those of all footage
   */
  Frame draw(Frame frame, long k, Reels reels) throws IOException {
    if (drawn == null) {
      prepare(frame, reels);
    }
    tables.of(layer.correction(), () -> Grading.of(layer.correction())).draw(frame, drawn);
    for (Placed one : placed) {
      one.draw(k);
    }
    return drawn;
  }

  private void prepare(Frame frame, Reels reels) {
    drawn = new Frame(frame.width(), frame.height());
    layer
        .parts()
        .ifPresent(
            parts -> {
              ranged = new Frame(frame.width(), frame.height());
              Optional<Reel> subject = parts.subject().map(reels::of);
              for (ColourRange range : layer.correction().placed()) {
                placed.add(new Placed(range, parts.shape(), reels.of(layer.take()), subject));
              }
            });
  }

  /** The reels of footage. */
  interface Reels {
    Reel of(Layer.Footage footage);
  }

  /** A range that is meant in a part of the picture. */
  private final class Placed {
    private final ColourRange everywhere;
    private final PartWeights weights;
    private final Optional<Reel> subject;
    private final Frame masks;
    private final TakeFramer framer;
    private Frame framed;

    Placed(ColourRange range, PictureShape take, Reel reel, Optional<Reel> subject) {
      PicturePart where = range.where();
      everywhere = range.in(PicturePart.WHOLE);
      weights = new PartWeights(where, drawn.width(), drawn.height());
      this.subject = where.of() == Matte.Part.ALL ? Optional.empty() : subject;
      int longest = Math.min(MASKED_AT, Math.max(drawn.width(), drawn.height()));
      PictureShape shape = atMost(take, longest);
      masks =
          where.masks().isEmpty()
              ? null
              : PartWeights.picture(where.masks(), shape.width(), shape.height());
      framer = masks == null ? null : reel.maskFramer(shape);
    }

    void draw(long k) throws IOException {
      if (framer != null && (framed == null || !framer.still())) {
        framed = framer.draw(masks, k);
      }
      tables.of(everywhere, () -> Grading.of(everywhere)).draw(drawn, ranged);
      weights.mix(drawn, ranged, framed, subject.isEmpty() ? null : subject.get().draw(k), drawn);
    }
  }

  private static PictureShape atMost(PictureShape take, int longest) {
    double scale = Math.min(1, (double) longest / Math.max(take.width(), take.height()));
    return new PictureShape(
        even(take.width() * scale), even(take.height() * scale), take.pixelAspect());
  }

  private static int even(double value) {
    return Math.max(2, (int) Math.round(value / 2) * 2);
  }
}
