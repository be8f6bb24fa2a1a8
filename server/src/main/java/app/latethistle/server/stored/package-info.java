/**
 * What is stored as JSON, in types of its own: what core calls a thing and how a row says it are
 * two things, so that core can change and rows written years ago still open.
 *
 * <p>Every text carries a format number; one without is of format 1, as the first releases wrote
 * it. A kind of text knows how to read each earlier format. In the tests lies one stored example of
 * every format, and all of them open.
 *
 * <pre>{@code
 * String body = StoredEdit.write(edit);
 * Edit again = StoredEdit.read(body).on(film);   // equals edit
 * }</pre>
 */
package app.latethistle.server.stored;
