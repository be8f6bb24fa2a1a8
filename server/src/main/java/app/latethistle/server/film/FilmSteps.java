package app.latethistle.server.film;

import app.latethistle.server.history.Undoable;
import app.latethistle.server.stored.Deed;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** How edits of films are taken back. */
@Configuration
class FilmSteps {
  @Bean
  Undoable<Deed.FilmEdited> filmEdited(FilmService films) {
    return new Undoable<>(
        Deed.FilmEdited.class,
        (production, deed) -> films.undo(production),
        (production, deed) -> films.redo(production));
  }
}
