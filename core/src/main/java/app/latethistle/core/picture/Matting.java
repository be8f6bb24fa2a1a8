package app.latethistle.core.picture;

import app.latethistle.core.look.Matte;

/**
 * Draws what a matte leaves of pictures, over black and weighed by its own opacity. Not for use by
 * two threads at once.
 */
public final class Matting {
  private final Keyer keyer;
  private final byte[] masks;
  private final Matte.Part part;
  private final Frame picture;
  private final byte[] opacity;
  private final byte[] weights;
  private Cutout drawn;

  /**
   * @param width of the pictures, even
   * @param height even
   */
  public Matting(Matte matte, int width, int height) {
    keyer = matte.keys().isEmpty() ? null : new Keyer(matte.keys(), width, height);
    masks = matte.masks().isEmpty() ? null : Masking.of(matte.masks(), width, height);
    part = matte.part();
    boolean weighs = masks != null || part != Matte.Part.ALL;
    picture = weighs ? new Frame(width, height) : null;
    opacity = weighs ? new byte[width * height] : null;
    weights = weighs ? new byte[width * height] : null;
  }

  /**
   * What stays of a picture; valid until the next call and not to be changed.
   *
   * @param subject of the same size; its luma says how opaque the subject is. Null if nothing is
   *     known of one: then all of it stays
   */
  public Frame draw(Frame from, Frame subject) {
    Frame keyed = keyer == null ? from : keyer.draw(from);
    if (picture == null) {
      drawn = Cutout.of(keyed, keyer.opacity());
      return keyed;
    }
    int width = keyed.width();
    byte[] data = keyed.data();
    byte[] into = picture.data();
    for (int i = 0; i < weights.length; i++) {
      int stays = masks == null ? 255 : masks[i] & 0xff;
      stays = subject == null ? stays : share(stays, kept(part, subject.data()[i] & 0xff));
      weights[i] = (byte) stays;
      opacity[i] = (byte) (keyer == null ? stays : share(keyer.opacity()[i] & 0xff, stays));
      into[i] = (byte) (16 + share((data[i] & 0xff) - 16, stays));
    }
    for (int plane = 1; plane < 3; plane++) {
      int at = keyed.offset(plane);
      for (int y = 0; y < keyed.height(); y += 2) {
        for (int x = 0; x < width; x += 2, at++) {
          int stays = Frame.meanOfFour(weights, y * width + x, width);
          into[at] = (byte) (128 + share((data[at] & 0xff) - 128, stays));
        }
      }
    }
    drawn = Cutout.of(picture, opacity);
    return picture;
  }

  /** How much of a pixel is of a part, 0 to 255, by the luma of the subject's picture. */
  static int kept(Matte.Part part, int luma) {
    int of = share(luma);
    return switch (part) {
      case ALL -> 255;
      case SUBJECT -> of;
      case BACKGROUND -> 255 - of;
    };
  }

  /** What the luma of a mask's picture says, 0 to 255. */
  static int share(int luma) {
    return Math.max(0, Math.min(255, Math.round((luma - 16) * 255 / 219f)));
  }

  private static int share(int value, int of255) {
    return Math.round(value * of255 / 255f);
  }

  /** What was drawn last. */
  public Cutout drawn() {
    return drawn;
  }
}
