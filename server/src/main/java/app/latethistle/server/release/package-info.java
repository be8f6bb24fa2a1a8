/**
 * What is said of a production where it is published: the release sheet and the desk it goes to.
 */
package app.latethistle.server.release;
