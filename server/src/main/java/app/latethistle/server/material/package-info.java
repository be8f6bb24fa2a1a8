/**
 * What is brought in: media in the store, shots with their takes, songs, and files that were
 * refused. Takes are prepared and songs are listened to as background jobs.
 */
package app.latethistle.server.material;
