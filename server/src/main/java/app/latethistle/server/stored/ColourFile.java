package app.latethistle.server.stored;

/**
 * A table of colours as it goes with what looks up in it.
 *
 * @param name of its file, for people
 * @param text of the .cube file
 */
public record ColourFile(String name, String text) {}
