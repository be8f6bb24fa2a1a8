package app.latethistle.core.take;

import java.util.Optional;

/**
 * A shot's candidate, as much of it as cutting needs.
 *
 * @param id the take's name in the production
 * @param media SHA-256 of the file's bytes, in hex
 * @param frames its length in frames of the film's rate, conformed by time; 1 or more
 * @param shape the picture's shape
 * @param subject SHA-256 of a file whose pictures say by their luma, frame by frame, how opaque the
 *     take's subject is; empty if none has been cut out of it
 */
public record Take(
    String id, String media, long frames, PictureShape shape, Optional<String> subject) {
  /** A take out of which nothing has been cut. */
  public Take(String id, String media, long frames, PictureShape shape) {
    this(id, media, frames, shape, Optional.empty());
  }

  /** The same with its subject cut out. */
  public Take withSubject(String file) {
    return new Take(id, media, frames, shape, Optional.of(file));
  }
}
