/**
 * The film: shots in order, the cuts between them, what each cut is tied to, and the edits.
 *
 * <p>A {@link app.latethistle.core.film.Film} of <i>n</i> placements has <i>n</i> + 1 joints: the
 * film's start, the cuts, and its end. Each {@link app.latethistle.core.film.Joint} has a {@link
 * app.latethistle.core.film.Tie} to a beat, to an end of a word, or to nothing. {@link
 * app.latethistle.core.film.Cutting} resolves film and {@link app.latethistle.core.film.Clocks}
 * into frames, as a pure function, and says what could not be honoured; the words lie where the
 * {@link app.latethistle.core.film.VoiceClock} has placed the {@link
 * app.latethistle.core.film.Narration}. {@link app.latethistle.core.film.Reasons} says why a joint
 * is where it is.
 *
 * <p>Every item has an id: an {@link app.latethistle.core.film.ItemKind} says how one is found and
 * changed by it, an {@link app.latethistle.core.film.Aspect} what is said of one. Every change is a
 * value, an {@link app.latethistle.core.film.Edit}, that knows its inverse; {@link
 * app.latethistle.core.film.EditLog} keeps them for undo and redo. What moves several items is
 * worked out on the film as it is {@link app.latethistle.core.film.Resolved} by {@link
 * app.latethistle.core.film.Trims}, {@link app.latethistle.core.film.Places}, {@link
 * app.latethistle.core.film.Layers} and {@link app.latethistle.core.film.Sources}. A {@link
 * app.latethistle.core.film.Run} is exact, so that no picture that stays is another after an edit.
 *
 * <pre>{@code
 * Edit edit = SetAspect.of(Aspect.TIE, film.jointName(3), Tie.onBeat(24));
 * Film after = edit.apply(film);
 * Film before = edit.inverse(film).apply(after);   // equals film
 * Film later = Trims.rippleEnd(resolved, 0, Tie.onBeat(8)).apply(film);
 * }</pre>
 */
package app.latethistle.core.film;
