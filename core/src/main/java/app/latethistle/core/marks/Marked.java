package app.latethistle.core.marks;

import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.look.Shape;
import app.latethistle.core.take.PictureShape;
import java.util.List;
import java.util.Optional;

/**
 * A film some of whose takes have marks.
 *
 * @param picture the film's
 */
public record Marked(Resolved film, PictureShape picture) {
  /** The film's width over its height. */
  double aspect() {
    return picture.width() * picture.pixelAspect() / picture.height();
  }

  /** Every mark that a shot of the cut shows, in the film's order. */
  public List<SeenMark> seen() {
    return film.film().placements().stream().flatMap(p -> seen(p).stream()).toList();
  }

  /** The marks that one shot of the cut shows, over the time it is seen. */
  public List<SeenMark> seen(Placement shot) {
    return SeenMark.of(film, shot, Optional.empty(), Shape.of(picture.width(), picture.height()));
  }
}
