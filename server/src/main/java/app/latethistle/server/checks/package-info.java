/** Whether a film may leave: all that is told of it, in one place, each with what mends it. */
package app.latethistle.server.checks;
