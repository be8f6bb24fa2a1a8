/** Productions and the shelf they stand on. */
package app.latethistle.server.production;
