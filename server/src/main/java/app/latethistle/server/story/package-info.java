/**
 * The story of a production: kept as a row of versions, so that every change can be undone, and its
 * shots matched with those that takes gather under.
 */
package app.latethistle.server.story;
