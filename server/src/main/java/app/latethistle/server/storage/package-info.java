/**
 * What the store holds, and the clearing of what no production uses any more: by itself after a
 * week, or at once when a person says so.
 */
package app.latethistle.server.storage;
