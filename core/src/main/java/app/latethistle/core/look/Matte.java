package app.latethistle.core.look;

import app.latethistle.core.Refused;
import java.util.List;

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

  /** Takes colours out. */
  public static Matte of(Key... keys) {
    return new Matte(List.of(keys));
  }
}
