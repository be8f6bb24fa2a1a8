/**
 * Masters: ordered with the film as it is, rendered in the background over kept segments, checked,
 * downloaded. A render survives a restart; what was rendered is not rendered again.
 */
package app.latethistle.server.master;
