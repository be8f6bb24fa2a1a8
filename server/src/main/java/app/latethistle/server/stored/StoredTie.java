package app.latethistle.server.stored;

import app.latethistle.core.film.Tie;

/**
 * A tie as it is stored.
 *
 * @param tie beat, word or free
 */
record StoredTie(
    String tie, Integer beat, String line, Integer word, String edge, Integer offset, Long frame) {

  static StoredTie of(Tie tie) {
    if (tie instanceof Tie.OnBeat on) {
      return new StoredTie("beat", on.beat(), null, null, null, on.offset(), null);
    }
    if (tie instanceof Tie.OnWord on) {
      return new StoredTie("word", null, on.line(), on.word(), on.edge().name(), on.offset(), null);
    }
    return new StoredTie("free", null, null, null, null, null, ((Tie.Free) tie).frame());
  }

  /** The tie. Early releases kept ties before the first beat, which no song has. */
  Tie get() {
    return switch (tie) {
      case "beat" -> new Tie.OnBeat(Math.max(0, beat), or(offset));
      case "word" -> new Tie.OnWord(line, Math.max(0, word), Tie.Edge.valueOf(edge), or(offset));
      case "free" -> Tie.free(frame);
      default -> throw new IllegalStateException("A stored tie to '" + tie + "'.");
    };
  }

  private static int or(Integer value) {
    return value == null ? 0 : value;
  }
}
