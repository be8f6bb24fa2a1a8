package app.latethistle.core.picture;

import app.latethistle.core.look.Mask;
import app.latethistle.core.look.Matte;
import app.latethistle.core.look.PicturePart;
import java.util.List;

/**
 * Mixes two pictures by how much each pixel belongs to a part of them. Not for use by two threads
 * at once.
 */
public final class PartWeights {
  private final Matte.Part of;
  private final byte[] weights;

  /**
   * @param width of the pictures, even
   * @param height even
   */
  public PartWeights(PicturePart part, int width, int height) {
    of = part.of();
    weights = new byte[width * height];
  }

  /** Masks as a picture: white where it lies in all of them. */
  public static Frame picture(List<Mask> masks, int width, int height) {
    byte[] opacity = Masking.of(masks, width, height);
    Frame picture = new Frame(width, height);
    picture.black();
    byte[] data = picture.data();
    for (int i = 0; i < opacity.length; i++) {
      data[i] = (byte) Math.round(16 + (opacity[i] & 0xff) * 219 / 255f);
    }
    return picture;
  }

  /**
   * Mixes two pictures of one size.
   *
   * @param outside what is seen where it is not of the part
   * @param inside what is seen where it is
   * @param masks of the same size; its luma says how much lies in them. Null if there are none
   * @param subject likewise of the take's subject. Null if nothing is known of one: then all of the
   *     picture is of it, and of what is behind it
   * @param into may be one of the two
   */
  public void mix(Frame outside, Frame inside, Frame masks, Frame subject, Frame into) {
    for (int i = 0; i < weights.length; i++) {
      int share = masks == null ? 255 : Matting.share(masks.data()[i] & 0xff);
      if (subject != null) {
        share = share * Matting.kept(of, subject.data()[i] & 0xff) / 255;
      }
      weights[i] = (byte) share;
    }
    byte[] a = outside.data();
    byte[] b = inside.data();
    byte[] to = into.data();
    for (int i = 0; i < weights.length; i++) {
      to[i] = mixed(a[i], b[i], weights[i] & 0xff);
    }
    int width = into.width();
    for (int plane = 1; plane < 3; plane++) {
      int at = into.offset(plane);
      for (int y = 0; y < into.height(); y += 2) {
        for (int x = 0; x < width; x += 2, at++) {
          to[at] = mixed(a[at], b[at], Frame.meanOfFour(weights, y * width + x, width));
        }
      }
    }
  }

  private static byte mixed(byte a, byte b, int of255) {
    int from = a & 0xff;
    return (byte) (from + Math.round(((b & 0xff) - from) * of255 / 255f));
  }
}
