package app.latethistle.core.picture;

import app.latethistle.core.look.Matte;

/**
 * Draws what a matte leaves of pictures, over black and weighed by its own opacity. Not for use by
 * two threads at once.
 */
public final class Matting {
  private final Keyer keyer;
  private final byte[] masks;
  private final Frame picture;
  private final byte[] opacity;
  private Cutout drawn;

  /**
   * @param width of the pictures, even
   * @param height even
   */
  public Matting(Matte matte, int width, int height) {
    keyer = matte.keys().isEmpty() ? null : new Keyer(matte.keys(), width, height);
    masks = matte.masks().isEmpty() ? null : Masking.of(matte.masks(), width, height);
    picture = masks == null ? null : new Frame(width, height);
    opacity = masks == null ? null : new byte[width * height];
  }

  /** What stays of a picture; valid until the next call and not to be changed. */
  public Frame draw(Frame from) {
    Frame keyed = keyer == null ? from : keyer.draw(from);
    if (masks == null) {
      drawn = Cutout.of(keyed, keyer.opacity());
      return keyed;
    }
    int width = keyed.width();
    byte[] data = keyed.data();
    byte[] into = picture.data();
    for (int i = 0; i < masks.length; i++) {
      int stays = masks[i] & 0xff;
      opacity[i] = (byte) (keyer == null ? stays : share(keyer.opacity()[i] & 0xff, stays));
      into[i] = (byte) (16 + share((data[i] & 0xff) - 16, stays));
    }
    for (int plane = 1; plane < 3; plane++) {
      int at = keyed.offset(plane);
      for (int y = 0; y < keyed.height(); y += 2) {
        for (int x = 0; x < width; x += 2, at++) {
          int stays = Frame.meanOfFour(masks, y * width + x, width);
          into[at] = (byte) (128 + share((data[at] & 0xff) - 128, stays));
        }
      }
    }
    drawn = Cutout.of(picture, opacity);
    return picture;
  }

  private static int share(int value, int of255) {
    return Math.round(value * of255 / 255f);
  }

  /** What was drawn last. */
  public Cutout drawn() {
    return drawn;
  }
}
