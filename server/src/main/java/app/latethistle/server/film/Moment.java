package app.latethistle.server.film;

import app.latethistle.core.film.Tie;
import io.swagger.v3.oas.annotations.media.Schema;

/**
 * A moment of the film as the page names it: a beat or a word and an offset in frames, or else a
 * frame of the film.
 */
record Moment(
    @Schema(nullable = true) Integer beat,
    @Schema(nullable = true) WordEdge word,
    int offset,
    long frame) {

  /** An end of a word of a line. */
  record WordEdge(String line, int word, Tie.Edge edge) {}

  Tie tie() {
    if (word != null) {
      return new Tie.OnWord(word.line(), word.word(), word.edge(), offset);
    }
    return beat == null ? Tie.free(frame) : new Tie.OnBeat(beat, offset);
  }
}
