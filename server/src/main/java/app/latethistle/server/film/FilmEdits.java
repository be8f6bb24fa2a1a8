package app.latethistle.server.film;

import app.latethistle.core.film.Edit;
import java.util.function.Function;
import org.springframework.stereotype.Component;

/** Edits films for the page, which is answered with the film as it is then. */
@Component
class FilmEdits {
  private final FilmService films;
  private final FilmViews views;

  FilmEdits(FilmService films, FilmViews views) {
    this.films = films;
    this.views = views;
  }

  /**
   * Makes an edit.
   *
   * @param revision of the film that the person saw
   * @param edit worked out on the film as it is
   */
  FilmView make(long productionId, long revision, Function<FilmState, Edit> edit) {
    return views.of(films.edit(productionId, revision, edit));
  }
}
