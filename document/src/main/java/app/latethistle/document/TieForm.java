package app.latethistle.document;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Tie;
import java.util.Locale;

/**
 * How a tie is written.
 *
 * @param tie beat, word or free; of a sound or title cut, marker, sound or title too
 * @param item the shot a cut begins ("" for the film's end), the marker, the sound or the title
 */
public record TieForm(
    String tie,
    Integer beat,
    String line,
    Integer word,
    String edge,
    Integer offset,
    Long frame,
    String item) {

  public static TieForm of(Tie tie) {
    if (tie instanceof Tie.OnBeat on) {
      return new TieForm("beat", on.beat(), null, null, null, on.offset(), null, null);
    }
    if (tie instanceof Tie.OnWord on) {
      return new TieForm(
          "word", null, on.line(), on.word(), on.edge().name(), on.offset(), null, null);
    }
    if (tie instanceof Tie.OnItem on) {
      String kind = on.kind().name().toLowerCase(Locale.ROOT);
      return new TieForm(kind, null, null, null, null, null, null, on.id());
    }
    return new TieForm("free", null, null, null, null, null, ((Tie.Free) tie).frame(), null);
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
      case "cut" -> Tie.onCut(item);
      case "marker" -> new Tie.OnItem(Tie.OnItem.Kind.MARKER, item);
      case "sound" -> new Tie.OnItem(Tie.OnItem.Kind.SOUND, item);
      case "title" -> new Tie.OnItem(Tie.OnItem.Kind.TITLE, item);
      default ->
          throw new Refused(
              "A tie is to a beat, a word, a cut, a marker, a sound, a title or free, not to '"
                  + tie
                  + "'.");
    };
  }
}
