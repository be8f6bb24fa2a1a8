package app.latethistle.core.type;

import app.latethistle.core.look.Shape;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.words.Box;
import app.latethistle.core.words.Lettering;
import app.latethistle.core.words.WordBreaks;
import java.awt.geom.Rectangle2D;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.stream.LongStream;

/**
 * Where captions stand so that they are clear of titles and of what matters in the picture: where
 * they are meant to, or as far from the upper edge as they would be from the lower one, where
 * something stands in their place and nothing up there. How high words are is taken from their
 * letters' size, for a place must be known before any face is: a line has room for twice as many
 * letters as its size goes into its width (half of their size is about how wide letters are, no
 * source).
 */
public final class ClearPlace {
  private static final double LETTER = 0.5;

  private final List<WrittenTitle> titles;
  private final List<Spared> spared;
  private final Shape shape;

  /**
   * What captions are not to lie over.
   *
   * @param at frames of the film in which it is seen
   * @param part of the picture's sides
   */
  public record Spared(FrameRange at, Rectangle2D part) {}

  /**
   * @param titles that stand in the film
   * @param spared what else captions are not to lie over, such as the focus of shots or marks
   * @param shape of the picture
   */
  public ClearPlace(List<WrittenTitle> titles, List<Spared> spared, Shape shape) {
    this.titles = List.copyOf(titles);
    this.spared = List.copyOf(spared);
    this.shape = shape;
  }

  /** The caption where it is clear; where it was, if it is so nowhere. */
  public WrittenCaption of(WrittenCaption caption) {
    Box own = caption.box();
    double high = height(caption.lines().size(), caption.lettering());
    Rows below = new Rows(own.y() - high, own.y());
    if (isClear(caption, below)) {
      return caption;
    }
    double margin = 1000.0 - own.y();
    Rows above = new Rows(margin, margin + high);
    return isClear(caption, above)
        ? caption.in(own.at(own.x(), (int) Math.round(above.bottom)))
        : caption;
  }

  /** Rows of the picture, in thousandths of its height. */
  private record Rows(double top, double bottom) {
    boolean meets(Rows other) {
      return top < other.bottom && other.top < bottom;
    }
  }

  private boolean isClear(WrittenCaption caption, Rows rows) {
    return titles.stream()
            .filter(title -> title.range().overlaps(caption.range()))
            .noneMatch(
                title -> title.movement().rolls() || rows(title, caption.range()).meets(rows))
        && spared.stream()
            .filter(one -> one.at.overlaps(caption.range()))
            .noneMatch(one -> rows(one.part).meets(rows) && isBeside(caption.box(), one.part));
  }

  private static Rows rows(Rectangle2D part) {
    return new Rows(1000 * part.getMinY(), 1000 * part.getMaxY());
  }

  /** Whether a part of the picture lies between the sides of a box. */
  private static boolean isBeside(Box box, Rectangle2D part) {
    double half = box.width() / 2.0;
    return 1000 * part.getMinX() < box.x() + half && 1000 * part.getMaxX() > box.x() - half;
  }

  /** Where a title is while a caption stands; it may go with something meanwhile. */
  private Rows rows(WrittenTitle title, FrameRange when) {
    String text = title.words().text() + "\n" + title.words().second();
    long lines = text.lines().mapToLong(line -> broken(line, title)).sum();
    double half = height(lines, title.lettering()) / 2;
    DoubleSummaryStatistics gone =
        LongStream.range(when.start(), when.end())
            .mapToDouble(frame -> 1000 * title.along().at(frame).y())
            .summaryStatistics();
    double y = title.box().y();
    return new Rows(y + gone.getMin() - half, y + gone.getMax() + half);
  }

  /** Into how many lines one is broken; 0 for none. */
  private long broken(String line, WrittenTitle title) {
    double letter = LETTER * title.lettering().size() * shorter() / shape.across();
    double room = Math.max(1, title.box().width() / letter);
    return (long) Math.ceil(WordBreaks.columns(line.strip()) / room);
  }

  private double height(long lines, Lettering lettering) {
    double line = lettering.size() * lettering.spacing().leading() / 100.0;
    return lines * line * shorter() / shape.down();
  }

  private double shorter() {
    return Math.min(shape.across(), shape.down());
  }
}
