package app.latethistle.core.look;

import app.latethistle.core.Refused;
import java.util.List;
import java.util.stream.Stream;

/**
 * What of a picture stays when it is laid over another.
 *
 * @param keys backing colours that are taken out; none leaves all of it
 */
public record Matte(List<Key> keys) {
  /** The picture as it came. */
  public static final Matte NONE = new Matte(List.of());

  private static final int MOST = 3;

  /**
   * @throws IllegalArgumentException if there are too many keys
   */
  public Matte {
    keys = List.copyOf(keys);
    if (keys.size() > MOST) {
      throw new Refused("At most three colours are taken out of a picture at once.");
    }
  }

  /** The same with one more colour taken out. */
  public Matte and(Key more) {
    return new Matte(Stream.concat(keys.stream(), Stream.of(more)).toList());
  }
}
