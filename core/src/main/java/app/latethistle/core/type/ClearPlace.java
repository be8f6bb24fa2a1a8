package app.latethistle.core.type;

import app.latethistle.core.look.Shape;
import app.latethistle.core.words.Box;
import app.latethistle.core.words.Lettering;
import java.util.List;

/**
 * Where captions stand so that they are clear of titles: where they are meant to, or as far from
 * the upper edge as they would be from the lower one, where a title stands in their place and none
 * up there. How high words are is taken from their letters' size, for a place must be known before
 * any face is: a line has room for twice as many letters as its size goes into its width (half of
 * their size is about how wide letters are, no source).
 */
public final class ClearPlace {
  private static final double LETTER = 0.5;

  private final List<WrittenTitle> titles;
  private final Shape shape;

  /**
   * @param titles that stand in the film
   * @param shape of the picture
   */
  public ClearPlace(List<WrittenTitle> titles, Shape shape) {
    this.titles = List.copyOf(titles);
    this.shape = shape;
  }

  /** The caption where it is clear of titles; where it was, if it is so nowhere. */
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
        .noneMatch(title -> title.movement().rolls() || rows(title).meets(rows));
  }

  private Rows rows(WrittenTitle title) {
    String text = title.words().text() + "\n" + title.words().second();
    long lines = text.lines().mapToLong(line -> broken(line, title)).sum();
    double half = height(lines, title.lettering()) / 2;
    return new Rows(title.box().y() - half, title.box().y() + half);
  }

  /** Into how many lines one is broken; 0 for none. */
  private long broken(String line, WrittenTitle title) {
    double letter = LETTER * title.lettering().size() * shorter() / shape.across();
    double room = Math.max(1, title.box().width() / letter);
    return (long) Math.ceil(line.strip().length() / room);
  }

  private double height(long lines, Lettering lettering) {
    double line = lettering.size() * lettering.spacing().leading() / 100.0;
    return lines * line * shorter() / shape.down();
  }

  private double shorter() {
    return Math.min(shape.across(), shape.down());
  }
}
