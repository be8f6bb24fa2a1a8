package app.latethistle.core.picture;

/** Colours said by hue. */
public final class Hue {
  private Hue() {}

  /**
   * A colour.
   *
   * @param degrees on the colour circle: 0 red, 120 green, 240 blue
   * @param luma 0 black to 1 white, BT.709
   * @param strength how far its colour-difference lies from grey, 0 to 1
   * @return Y, Cb and Cr, limited range
   */
  static byte[] yuv(double degrees, double luma, double strength) {
    double red = channel(degrees);
    double green = channel(degrees - 120);
    double blue = channel(degrees + 120);
    double y = 0.2126 * red + 0.7152 * green + 0.0722 * blue;
    return new byte[] {
      (byte) Math.round(16 + 219 * luma),
      (byte) Math.round(128 + 224 * strength * (blue - y) / 1.8556),
      (byte) Math.round(128 + 224 * strength * (red - y) / 1.5748)
    };
  }

  /** How much of red is in a hue: all about 0 degrees, none from 120 to 240. */
  public static double channel(double degrees) {
    double away = Math.abs(Math.IEEEremainder(degrees, 360)) / 60;
    return Math.max(0, Math.min(1, 2 - away));
  }
}
