package app.latethistle.core.render;

import app.latethistle.core.film.FilmTitle;
import app.latethistle.core.film.TitlePlace;
import app.latethistle.core.words.Movement;
import app.latethistle.core.words.TitleWords;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * What a title shows one after another: its paragraphs where it turns, else all of it. Each stands
 * for its share of the title's time, by how long it takes to read; it comes as the title does,
 * within its own time, and the next one begins as it ends.
 */
final class Pages {
  private Pages() {}

  /** Words of a title, and when they are seen. */
  record Page(TitleWords words, TitlePlace at) {}

  static List<Page> of(FilmTitle title, TitlePlace place) {
    List<TitleWords> parts = parts(title);
    long frames = place.end() - place.landing();
    if (parts.size() == 1 || frames < parts.size()) {
      return List.of(new Page(title.words(), place));
    }
    double whole = parts.stream().mapToDouble(TitleWords::readingSeconds).sum();
    List<Page> pages = new ArrayList<>();
    double read = 0;
    long from = place.start();
    long landing = place.landing();
    for (int i = 0; i < parts.size(); i++) {
      read += parts.get(i).readingSeconds();
      boolean last = i == parts.size() - 1;
      long share = place.landing() + Math.round(frames * read / whole);
      // At least a frame each, whatever there is to read.
      long left = place.end() - (parts.size() - 1 - i);
      long end = last ? place.end() : Math.max(from + 1, Math.min(share, left));
      pages.add(new Page(parts.get(i), new TitlePlace(from, Math.min(landing, end - 1), end)));
      from = end;
      landing = end + title.movement().in().frames();
    }
    return pages;
  }

  private static List<TitleWords> parts(FilmTitle title) {
    TitleWords words = title.words();
    if (title.movement().course() != Movement.Course.TURNS) {
      return List.of(words);
    }
    List<TitleWords> parts =
        Arrays.stream(words.text().split("\\n\\s*\\n"))
            .filter(part -> !part.isBlank())
            .map(part -> new TitleWords(words.kind(), part, words.second()))
            .toList();
    return parts.isEmpty() ? List.of(words) : parts;
  }
}
