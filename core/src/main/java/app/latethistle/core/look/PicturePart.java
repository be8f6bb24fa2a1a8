package app.latethistle.core.look;

import app.latethistle.core.Refused;
import java.util.List;
import java.util.stream.Stream;

/**
 * A part of a take's picture: what lies in every mask, of the subject or of what is behind it.
 *
 * @param masks in the take's own picture, at most 4
 * @param of whether the subject that was cut out of the take is meant, or what is behind it; all of
 *     the picture where none was
 */
public record PicturePart(List<Mask> masks, Matte.Part of) {
  /** The whole picture. */
  public static final PicturePart WHOLE = new PicturePart(List.of(), Matte.Part.ALL);

  /** Masks that lie on a picture at once. */
  public static final int MOST_MASKS = 4;

  /**
   * @throws IllegalArgumentException if there are too many masks
   */
  public PicturePart {
    masks = List.copyOf(masks);
    if (masks.size() > MOST_MASKS) {
      throw new Refused("At most four masks lie on a picture at once.");
    }
  }

  /** The part in a mask. */
  public static PicturePart in(Mask mask) {
    return new PicturePart(List.of(mask), Matte.Part.ALL);
  }

  /** What of it lies in one more mask. */
  public PicturePart and(Mask more) {
    return new PicturePart(Stream.concat(masks.stream(), Stream.of(more)).toList(), of);
  }

  /** Whether all of the picture is meant. */
  public boolean whole() {
    return equals(WHOLE);
  }
}
