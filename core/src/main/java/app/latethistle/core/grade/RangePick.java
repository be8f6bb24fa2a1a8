package app.latethistle.core.grade;

import app.latethistle.core.look.Basics;
import app.latethistle.core.look.ColourRange;
import app.latethistle.core.look.PicturePart;

/**
 * The range that is meant when a colour is pressed in a picture: that colour and what is like it.
 */
public final class RangePick {
  /** Chroma under which a thing counts as grey: then its brightness is meant, not its hue. */
  private static final double GREY = 0.02;

  private static final int WIDTH = 25;
  private static final int EVERY_HUE = 180;
  private static final int TONES = 25;
  private static final int SOFTNESS = 50;

  private RangePick() {}

  /** Of a colour as it is when the range comes to it. */
  public static ColourRange around(Signal colour) {
    Oklab lab = Oklab.of(colour);
    int lightness = (int) Math.round(100 * lab.lightness());
    int chroma = (int) Math.round(1000 * lab.chroma());
    boolean grey = lab.chroma() < GREY;
    int hue = (int) Math.floorMod(Math.round(Math.toDegrees(Math.atan2(lab.b(), lab.a()))), 360L);
    return new ColourRange(
        grey ? 0 : hue,
        grey ? EVERY_HUE : WIDTH,
        grey ? 0 : chroma / 2,
        grey ? (int) (2000 * GREY) : ColourRange.MOST_CHROMA,
        Math.max(0, lightness - TONES),
        Math.min(100, Math.max(0, lightness + TONES)),
        SOFTNESS,
        PicturePart.WHOLE,
        Basics.NONE);
  }

  /**
   * Of a place in a picture that is drawn without the ranges: the mean around it.
   *
   * @param x from the left, 0 to 1
   * @param y from the top, 0 to 1
   */
  public static ColourRange at(ColourPicture picture, double x, double y) {
    int cx = (int) Math.max(1, Math.min(picture.width() - 2, x * picture.width()));
    int cy = (int) Math.max(1, Math.min(picture.height() - 2, y * picture.height()));
    double red = 0;
    double green = 0;
    double blue = 0;
    for (int dy = -1; dy <= 1; dy++) {
      for (int dx = -1; dx <= 1; dx++) {
        Signal v = Signal.of(picture.at(cx + dx, cy + dy));
        red += v.red() / 9;
        green += v.green() / 9;
        blue += v.blue() / 9;
      }
    }
    return around(new Signal(red, green, blue));
  }
}
