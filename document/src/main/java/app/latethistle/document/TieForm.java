package app.latethistle.document;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Tie;

/**
 * How a tie is written.
 *
 * @param tie beat, word or free
 */
public record TieForm(
    String tie, Integer beat, String line, Integer word, String edge, Integer offset, Long frame) {

  public static TieForm of(Tie tie) {
    if (tie instanceof Tie.OnBeat on) {
      return new TieForm("beat", on.beat(), null, null, null, on.offset(), null);
    }
    if (tie instanceof Tie.OnWord on) {
      return new TieForm("word", null, on.line(), on.word(), on.edge().name(), on.offset(), null);
    }
    return new TieForm("free", null, null, null, null, null, ((Tie.Free) tie).frame());
  }

  /** The tie. Early releases kept ties before the first beat, which no song has. */
  public Tie get() {
    return switch (tie) {
      case "beat" -> new Tie.OnBeat(Math.max(0, beat), Say.or(offset, 0));
      case "word" ->
          new Tie.OnWord(
              line,
              Math.max(0, word),
              Say.or(Tie.Edge.class, edge, Tie.Edge.START),
              Say.or(offset, 0));
      case "free" -> Tie.free(frame);
      default -> throw new Refused("A tie is to a beat, a word or free, not to '" + tie + "'.");
    };
  }
}
