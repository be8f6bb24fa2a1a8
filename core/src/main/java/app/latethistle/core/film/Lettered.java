package app.latethistle.core.film;

import app.latethistle.core.words.Lettering;
import java.util.Set;
import java.util.stream.Stream;

/** What a film's words are set in. */
public final class Lettered {
  private Lettered() {}

  /** The families of its titles and captions, by their names. */
  public static Set<String> families(Film film) {
    return Lettering.families(
        Stream.concat(
            film.titles().stream().map(FilmTitle::lettering),
            film.inEveryLanguage().stream().map(said -> said.style().lettering())));
  }
}
