package app.latethistle.document;

/**
 * One way in which a film leaves.
 *
 * @param name by which it is asked for
 * @param width of its pictures, even
 * @param height even
 * @param start its first frame; the film's if it is not said
 * @param end the frame after its last; the film's if it is not said
 */
public record OutputForm(String name, int width, int height, Long start, Long end) {
  /** The whole film. */
  public static OutputForm whole(String name, int width, int height) {
    return new OutputForm(name, width, height, null, null);
  }
}
