package app.latethistle.core.marks;

import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.look.Shape;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.words.Box;
import app.latethistle.core.words.ShapedBox;
import java.util.List;
import java.util.Optional;

/**
 * A film some of whose takes have marks.
 *
 * @param picture its pictures, in the shape that is looked at
 * @param other that shape, if it is not the film's own
 */
public record Marked(Resolved film, PictureShape picture, Optional<Shape> other) {
  /** In the film's own shape. */
  public Marked(Resolved film, PictureShape picture) {
    this(film, picture, Optional.empty());
  }

  /** The pictures' width over their height. */
  public double aspect() {
    return picture.aspect();
  }

  /** Where a box stands in the shape. */
  Box in(ShapedBox box) {
    return other.map(box::in).orElse(box.own());
  }

  /** Every mark that a shot of the cut shows, in the film's order. */
  public List<SeenMark> seen() {
    return film.film().placements().stream().flatMap(p -> seen(p).stream()).toList();
  }

  /** The marks that one shot of the cut shows, over the time it is seen. */
  public List<SeenMark> seen(Placement shot) {
    return SeenMark.of(film, shot, other, Shape.of(picture.width(), picture.height()));
  }
}
