/** Server-sent events: what is being worked on, and which revision each film is at. */
package app.latethistle.server.events;
