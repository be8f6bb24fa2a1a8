/**
 * Films as JSON: the <em>film document</em>, which holds all that a film is drawn and heard from,
 * so that a film cut in the page can be drawn in a terminal, or one written by hand or by a program
 * be opened. Its public description is {@code docs/film-document.md}; {@code
 * film-document.schema.json}, a JSON Schema (2020-12), says it exactly.
 *
 * <p>A {@link app.latethistle.document.FilmDocument} is read against the schema first and then
 * against what core knows; {@link app.latethistle.document.BrokenDocument} names the place that is
 * wrong, as a JSON Pointer (RFC 6901), and what to write there. The forms ({@link
 * app.latethistle.document.FilmForm}, {@link app.latethistle.document.ItemForms}, {@link
 * app.latethistle.document.LookForms}) are how core's values are written, apart from core's own
 * types so that those can change; the server's database keeps the same forms.
 *
 * <pre>{@code
 * FilmDocument document = FilmDocument.read(Files.readString(Path.of("night.json")));
 * Resolved film = document.resolve(takes, () -> BandLevels.EMPTY);
 * Program program = Program.of(film, 1920, 1080);
 * }</pre>
 */
package app.latethistle.document;
