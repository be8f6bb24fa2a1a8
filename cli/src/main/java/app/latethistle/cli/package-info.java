/**
 * The terminal's door to the same computation as the server's: {@code ./thistle beats}, {@code
 * probe}, {@code assemble}, {@code demo}. Exit codes: 0 done, 2 wrong use, 1 failed with one clear
 * line on standard error.
 */
package app.latethistle.cli;
