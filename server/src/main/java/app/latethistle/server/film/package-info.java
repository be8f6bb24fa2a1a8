/**
 * The film of a production: its stored edit log, edits with their revision check, the first cut.
 */
package app.latethistle.server.film;
