/**
 * What all films of a channel have in common: kept from one production, taken by others, brought in
 * and out as one file. A production knows which style it took and when, and so whether that has
 * changed since.
 */
package app.latethistle.server.style;
