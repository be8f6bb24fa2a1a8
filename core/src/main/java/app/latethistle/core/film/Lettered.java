package app.latethistle.core.film;

import app.latethistle.core.words.Lettering;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What a film's words are set in. */
public final class Lettered {
  private Lettered() {}

  /** The families of its titles and captions, by their names. */
  public static Set<String> families(Film film) {
    return Stream.concat(
            film.titles().stream().map(FilmTitle::lettering),
            film.inEveryLanguage().stream().map(said -> said.style().lettering()))
        .map(Lettering::face)
        .map(Lettering.Face::family)
        .collect(Collectors.toCollection(TreeSet::new));
  }
}
