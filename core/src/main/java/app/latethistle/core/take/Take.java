package app.latethistle.core.take;

/**
 * A shot's candidate, as much of it as cutting needs.
 *
 * @param id the take's name in the production
 * @param media SHA-256 of the file's bytes, in hex
 * @param frames its length in frames of the film's rate, conformed by time; 1 or more
 * @param shape the picture's shape
 */
public record Take(String id, String media, long frames, PictureShape shape) {}
