/**
 * The voice of a production: for every line of its script the readings there are, the one that is
 * used, where its words are, how tight it is and where it starts in the film.
 *
 * <p>A line of the script is known again by its text: {@link
 * app.latethistle.server.voice.LineMatch} gives each line what was settled for it, also when its
 * words have been changed a little.
 */
package app.latethistle.server.voice;
