package app.latethistle.server.stored;

/**
 * A key still as it goes with a film that is to look like it.
 *
 * @param name of the file it was made of, for people
 * @param png the picture, small, in Base64
 */
public record StillFile(String name, String png) {}
