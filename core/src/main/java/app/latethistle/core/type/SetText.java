package app.latethistle.core.type;

import app.latethistle.core.look.Shape;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.words.Box;
import app.latethistle.core.words.Lettering;
import app.latethistle.core.words.TitleKind;
import app.latethistle.core.words.TitleWords;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Words in lines on a picture: broken where their box ends into lines of like length, made smaller
 * where a single word is wider than the box.
 */
public final class SetText {
  /** The words under a title, as a share of its letters. */
  private static final double SECOND = 0.62;

  /** How far a plate reaches past letters, in their size (no source). */
  private static final double PADDING = 0.28;

  /** The shorter side of a picture on which letters are only looked for. */
  private static final int SMALL = 120;

  private final List<SetLine> lines;

  private SetText(List<SetLine> lines) {
    this.lines = List.copyOf(lines);
  }

  /**
   * A title's words, with the middle of their block where the box says.
   *
   * @param width of the picture, in pixels
   * @param height of the picture
   */
  public static SetText of(
      TitleWords words, Lettering lettering, Box box, int width, int height, Faces faces) {
    Typesetter setter = new Typesetter(lettering, box, width, height, faces);
    Optional<Logotype> logotype = faces.logotype(lettering.face().family());
    if (logotype.isPresent()) {
      return new SetText(setter.placed(setter.line(logotype.get(), words.text()), 0.5));
    }
    List<LooseLine> lines =
        words.kind() == TitleKind.CREDITS
            ? setter.columns(words.text())
            : setter.block(words.text(), 1);
    if (!words.second().isBlank()) {
      lines = new ArrayList<>(lines);
      lines.addAll(setter.block(words.second(), SECOND));
    }
    return new SetText(setter.placed(lines, 0.5));
  }

  /** Lines that are broken already, the last of them standing on the box's place. */
  public static SetText onBottom(
      List<String> broken, Lettering lettering, Box box, int width, int height, Faces faces) {
    Typesetter setter = new Typesetter(lettering, box, width, height, faces);
    return new SetText(setter.placed(setter.asBroken(broken), 1));
  }

  /**
   * Code points of a title that no face has.
   *
   * @param film the shape of its pictures; letters are looked for on a small one
   */
  public static List<Integer> missing(
      TitleWords words, Lettering lettering, Box box, PictureShape film, Faces faces) {
    double scale = (double) SMALL / Math.min(film.width(), film.height());
    int width = (int) Math.round(film.width() * scale);
    int height = (int) Math.round(film.height() * scale);
    return of(words, lettering, box, width, height, faces).missing();
  }

  /**
   * Code points of lines that no face has.
   *
   * @param film the shape of its pictures
   */
  public static List<Integer> missing(
      List<String> broken, Lettering lettering, Box box, Shape film, Faces faces) {
    int shorter = Math.min(film.across(), film.down());
    int width = SMALL * film.across() / shorter;
    int height = SMALL * film.down() / shorter;
    return onBottom(broken, lettering, box, width, height, faces).missing();
  }

  /** The letters' size in pixels before a box makes them smaller. */
  static double size(Lettering lettering, int width, int height) {
    return lettering.size() * Math.min(width, height) / 1000.0;
  }

  /** The same so much farther right and lower, in pixels. */
  SetText moved(double right, double down) {
    return right == 0 && down == 0
        ? this
        : new SetText(lines.stream().map(line -> line.moved(right, down)).toList());
  }

  List<SetLine> lines() {
    return lines;
  }

  /** What they say, line by line, in the letters they are set in. */
  public List<String> text() {
    return lines.stream().map(l -> l.shaped().text()).toList();
  }

  /** Code points that no face has; boxes stand for them. */
  public List<Integer> missing() {
    return lines.stream().flatMap(l -> l.shaped().missing().stream()).distinct().toList();
  }

  /** What the lines take up, in pixels. */
  public Rectangle2D box() {
    Rectangle2D box = new Rectangle2D.Double();
    for (SetLine line : lines) {
      box = box.isEmpty() ? line.box() : box.createUnion(line.box());
    }
    return box;
  }

  /** What a plate behind all lines takes up, in pixels. */
  public Rectangle2D block() {
    return padded(box(), letterSize());
  }

  /** A box and as much beside it as a plate reaches past letters of a size. */
  static Rectangle2D padded(Rectangle2D box, double size) {
    double by = PADDING * size;
    return new Rectangle2D.Double(
        box.getX() - by, box.getY() - by / 2, box.getWidth() + 2 * by, box.getHeight() + by);
  }

  /** The height of the largest letters, in pixels. */
  public double letterSize() {
    return lines.stream().mapToDouble(SetLine::size).max().orElse(0);
  }
}
