package app.latethistle.core.film;

import java.util.function.UnaryOperator;

/**
 * Something that happens to the film's music for a while, most often right before a section begins.
 *
 * @param kind what happens
 * @param from when it begins
 * @param until when the music is as it was again
 */
public record MusicTurn(Kind kind, Tie from, Tie until) {
  /** What happens to the music. */
  public enum Kind {
    /** It is silent. */
    STOP,
    /** It grows dull: what is high goes more and more, and all is back at the end. */
    MUFFLE
  }

  /** The same with other ties. */
  MusicTurn map(UnaryOperator<Tie> other) {
    return new MusicTurn(kind, other.apply(from), other.apply(until));
  }
}
