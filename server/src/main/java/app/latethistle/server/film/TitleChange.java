package app.latethistle.server.film;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Aspect;
import app.latethistle.core.film.Compound;
import app.latethistle.core.film.Edit;
import app.latethistle.core.film.FilmTitle;
import app.latethistle.core.film.SetAspect;
import app.latethistle.core.look.Shape;
import app.latethistle.core.words.Box;
import app.latethistle.core.words.Lettering;
import app.latethistle.core.words.Movement;
import app.latethistle.core.words.ShapedBox;
import app.latethistle.core.words.TitleWords;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What of a title is to be otherwise; null stays as it is.
 *
 * @param shape for which the box is said; the film's own if null
 * @param picture the take that is seen in its letters; empty for none
 */
record TitleChange(
    String id,
    @Schema(nullable = true) TitleWords words,
    @Schema(nullable = true) Lettering lettering,
    @Schema(nullable = true) Box box,
    @Schema(nullable = true) String shape,
    @Schema(nullable = true) Movement movement,
    @Schema(nullable = true) Integer layer,
    @Schema(nullable = true) String picture) {

  /** The edit that makes it so. */
  Edit edit(FilmState film) {
    FilmTitle title = film.title(id);
    List<Edit> all = new ArrayList<>();
    if (words != null) {
      all.add(SetAspect.of(Aspect.WORDS, id, words));
    }
    if (lettering != null) {
      all.add(SetAspect.of(Aspect.LETTERING, id, lettering));
    }
    if (box != null) {
      all.add(SetAspect.of(Aspect.BOX, id, placed(film, title.box(), box, shape)));
    }
    if (movement != null) {
      all.add(SetAspect.of(Aspect.MOVEMENT, id, movement));
    }
    if (layer != null) {
      all.add(SetAspect.of(Aspect.TITLE_LAYER, id, layer));
    }
    if (picture != null) {
      all.add(SetAspect.of(Aspect.TITLE_PICTURE, id, picture(film)));
    }
    if (all.isEmpty()) {
      throw new Refused("Nothing was said to change.");
    }
    return all.size() == 1 ? all.get(0) : new Compound("change a title", all);
  }

  private Optional<String> picture(FilmState film) {
    if (picture.isEmpty()) {
      return Optional.empty();
    }
    if (!film.takes().containsKey(picture)) {
      throw new Refused("There is no take " + picture + " to be seen in letters; choose another.");
    }
    return Optional.of(picture);
  }

  /** A place for one shape, beside what is said for others. */
  static ShapedBox placed(FilmState film, ShapedBox now, Box box, String shape) {
    Shape in = shape == null ? film.shape() : OtherShape.parse(shape);
    return in.equals(film.shape()) ? now.withOwn(box) : now.with(in, box);
  }
}
