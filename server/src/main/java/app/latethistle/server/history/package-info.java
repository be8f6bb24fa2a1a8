/**
 * What was done in a production, whichever room it was done in, and the one undo over all of it.
 *
 * <p>A {@code Step} is what one request did: one or more {@link app.latethistle.server.stored.Deed
 * deeds}, made in one transaction. Whoever owns what a deed changes is {@link
 * app.latethistle.server.history.Undoable} for its kind; {@link
 * app.latethistle.server.history.History} keeps the steps in their order and takes them back from
 * the last one on, so that each owner finds its own data as it left them.
 */
package app.latethistle.server.history;
