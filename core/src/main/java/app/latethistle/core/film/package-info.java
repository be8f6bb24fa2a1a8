/**
 * The film: shots in order, the cuts between them, what each cut is tied to, and the edits.
 *
 * <p>A {@link app.latethistle.core.film.Film} of <i>n</i> placements has <i>n</i> + 1 joints: the
 * film's start, the cuts, and its end. Each joint has a {@link app.latethistle.core.film.Tie};
 * {@link app.latethistle.core.film.Cutting} resolves film and clock into frames, as a pure
 * function, and says what could not be honoured. Every change is a value, an {@link
 * app.latethistle.core.film.Edit}, that knows its inverse; {@link
 * app.latethistle.core.film.EditLog} keeps them for undo and redo.
 *
 * <pre>{@code
 * Edit edit = new Edit.MoveJoint(3, Tie.onBeat(24));
 * Film after = edit.apply(film);
 * Film before = edit.inverse(film).apply(after);   // equals film
 * }</pre>
 */
package app.latethistle.core.film;
