/** Settings, security, the page's files and how errors are answered. */
package app.latethistle.server.config;
