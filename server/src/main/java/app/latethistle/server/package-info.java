/**
 * The application: a web API over {@code core} and {@code media}, kept in PostgreSQL, for one
 * person on one machine. Each package is one concern with its entities, its service and its
 * controller.
 */
package app.latethistle.server;
