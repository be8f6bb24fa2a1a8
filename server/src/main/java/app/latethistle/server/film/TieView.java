package app.latethistle.server.film;

import app.latethistle.core.film.Tie;
import app.latethistle.document.TieForm;
import io.swagger.v3.oas.annotations.media.Schema;

/**
 * What a sound or a title lands on, as the page names it.
 *
 * @param tie beat, word, free, cut, marker, sound or title
 * @param item the shot that a cut begins, "" for the film's end; the marker; the sound; the title
 */
public record TieView(
    String tie,
    @Schema(nullable = true) Integer beat,
    @Schema(nullable = true) String line,
    @Schema(nullable = true) Integer word,
    @Schema(nullable = true) String edge,
    @Schema(nullable = true) Integer offset,
    @Schema(nullable = true) Long frame,
    @Schema(nullable = true) String item) {
  public static TieView of(Tie tie) {
    TieForm f = TieForm.of(tie);
    return new TieView(
        f.tie(), f.beat(), f.line(), f.word(), f.edge(), f.offset(), f.frame(), f.item());
  }

  public Tie get() {
    return new TieForm(tie, beat, line, word, edge, offset, frame, item).get();
  }
}
