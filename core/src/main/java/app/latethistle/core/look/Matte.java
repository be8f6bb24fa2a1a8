package app.latethistle.core.look;

import app.latethistle.core.Refused;
import java.util.List;
import java.util.stream.Stream;

/**
 * What of a picture stays when it is laid over another: what no key takes out, as far as it lies in
 * every mask and is of the part that is kept.
 *
 * @param keys backing colours that are taken out
 * @param masks parts that stay
 * @param part whether the subject that was cut out of the take stays, or what is behind it; all of
 *     the picture where none was
 * @param wrap how much of the light of what lies under it comes round its edge, in percent
 */
public record Matte(List<Key> keys, List<Mask> masks, Part part, int wrap) {
  /** The picture as it came. */
  public static final Matte NONE = new Matte(List.of(), List.of(), Part.ALL, 0);

  /** A part of a picture, by the subject that was cut out of its take. */
  public enum Part {
    ALL,
    SUBJECT,
    /** What is behind the subject. */
    BACKGROUND
  }

  private static final int MOST_KEYS = 3;

  /**
   * @throws IllegalArgumentException if there are too many keys or masks
   */
  public Matte {
    keys = List.copyOf(keys);
    masks = List.copyOf(masks);
    if (keys.size() > MOST_KEYS) {
      throw new Refused("At most three colours are taken out of a picture at once.");
    }
    if (masks.size() > PicturePart.MOST_MASKS) {
      throw new Refused("At most four masks lie on a picture at once.");
    }
    if (wrap < 0 || wrap > 100) {
      throw new Refused(
          "Light round an edge is from 0 to 100 %, not " + Refused.number(wrap) + ".");
    }
  }

  /** A matte that asks for no subject. */
  public Matte(List<Key> keys, List<Mask> masks, int wrap) {
    this(keys, masks, Part.ALL, wrap);
  }

  /** A matte of keys alone. */
  public static Matte of(Key... keys) {
    return NONE.withKeys(List.of(keys));
  }

  /** Whether all of the picture stays. */
  public boolean isNone() {
    return keys.isEmpty() && masks.isEmpty() && part == Part.ALL;
  }

  /** The same with one more colour taken out. */
  public Matte and(Key more) {
    return withKeys(Stream.concat(keys.stream(), Stream.of(more)).toList());
  }

  /** The same with one more mask. */
  public Matte and(Mask more) {
    return new Matte(keys, Stream.concat(masks.stream(), Stream.of(more)).toList(), part, wrap);
  }

  /** The same with other colours taken out. */
  public Matte withKeys(List<Key> other) {
    return new Matte(other, masks, part, wrap);
  }

  /** The same with another part kept. */
  public Matte withPart(Part other) {
    return new Matte(keys, masks, other, wrap);
  }
}
