package app.latethistle.core.take;

import java.util.List;
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
 * @param marks what marks take up that the service burned into its pictures
 */
public record Take(
    String id,
    String media,
    long frames,
    PictureShape shape,
    Optional<String> subject,
    List<Box> marks) {
  /** Copies the list. */
  public Take {
    marks = List.copyOf(marks);
  }

  /** A take out of which nothing has been cut, and which has no marks. */
  public Take(String id, String media, long frames, PictureShape shape) {
    this(id, media, frames, shape, Optional.empty(), List.of());
  }

  /** The same with its subject cut out. */
  public Take withSubject(String file) {
    return new Take(id, media, frames, shape, Optional.of(file), marks);
  }

  /** The same with marks. */
  public Take withMarks(List<Box> other) {
    return new Take(id, media, frames, shape, subject, other);
  }
}
