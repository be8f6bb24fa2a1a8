package app.latethistle.server.film;

import app.latethistle.core.Refused;
import app.latethistle.core.look.Shape;
import app.latethistle.core.take.PictureShape;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * A shape the film can leave in.
 *
 * @param name "9:16"
 * @param width of its pictures: their shorter side is as long as the film's
 */
public record OtherShape(String name, int width, int height) {
  private static final Pattern NAME = Pattern.compile("(\\d{1,4})[:x](\\d{1,4})");

  private static final Shape CINEMA = new Shape(21, 9);

  /** What places of publication ask for: common practice, no source. */
  private static final List<Shape> USUAL =
      List.of(new Shape(16, 9), new Shape(9, 16), new Shape(1, 1), new Shape(4, 5), CINEMA);

  /** The most times that one side may be as long as the other. */
  private static final double LONGEST = 4;

  /** The film's own shape first, then what places of publication ask for. */
  static List<OtherShape> of(PictureShape film) {
    Shape own = Shape.of(film.width(), film.height());
    return Stream.concat(Stream.of(own), others(film).stream()).map(s -> of(s, film)).toList();
  }

  /** What places of publication ask for beside the film's own shape. */
  static List<Shape> others(PictureShape film) {
    Shape own = Shape.of(film.width(), film.height());
    return USUAL.stream().filter(s -> !s.equals(own)).toList();
  }

  private static OtherShape of(Shape shape, PictureShape film) {
    PictureShape size = size(shape, film, Math.min(film.width(), film.height()));
    return new OtherShape(nameOf(shape), size.width(), size.height());
  }

  /** What a shape is called: "21:9" is not said in lowest terms. */
  public static String nameOf(Shape shape) {
    return shape.equals(CINEMA) ? "21:9" : shape.toString();
  }

  /**
   * The sides of a picture of a shape.
   *
   * @param shorter the length of its shorter side
   */
  public static PictureShape size(Shape shape, PictureShape film, int shorter) {
    Shape own = Shape.of(film.width(), film.height());
    double across = shape.equals(own) ? film.width() : shape.across();
    double down = shape.equals(own) ? film.height() : shape.down();
    double scale = shorter / Math.min(across, down);
    return PictureShape.of(even(across * scale), even(down * scale));
  }

  private static int even(double value) {
    return Math.max(2, (int) Math.round(value / 2) * 2);
  }

  /**
   * A shape by its name, such as "9:16" or "1000x417".
   *
   * @throws IllegalArgumentException if that is none, or a too narrow one
   */
  public static Shape parse(String name) {
    Matcher sides = NAME.matcher(name.strip());
    if (!sides.matches()) {
      throw new Refused("A shape is said as two whole numbers, such as 9:16, not '" + name + "'.");
    }
    Shape shape = Shape.of(Integer.parseInt(sides.group(1)), Integer.parseInt(sides.group(2)));
    double aspect = (double) shape.across() / shape.down();
    if (aspect > LONGEST || aspect < 1 / LONGEST) {
      throw new Refused(
          "A picture of " + name + " is too narrow; one side is at most four times the other.");
    }
    return shape;
  }
}
