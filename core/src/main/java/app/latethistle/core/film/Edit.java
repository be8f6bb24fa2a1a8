package app.latethistle.core.film;

/**
 * A change to a film, as a value. Items are named by their ids, never by their place. Applying an
 * edit to a film it does not fit throws {@link IllegalArgumentException} with a sentence for the
 * person, and changes nothing.
 *
 * <p>There are few kinds: {@link SetAspect} replaces one aspect of one or many items, {@link Recut}
 * puts other placements into the cut, {@link Put} puts or takes what lies over and beside it,
 * {@link Replace} puts a whole film in place of another, {@link Revoice} tells of a voice that is
 * another, and {@link Compound} does several of them as one.
 */
public sealed interface Edit permits SetAspect, Recut, Put, Replace, Revoice, Compound {

  /** The film after this edit. */
  Film apply(Film film);

  /** The edit that takes this one back, given the film it is about to be applied to. */
  Edit inverse(Film before);

  /** What was done, for the undo button: "move a cut". */
  String label();
}
