package app.latethistle.core.measure;

import app.latethistle.core.Refused;

/**
 * How much more light a picture has than another, in hundredths of a stop of the light a display
 * gives (ITU-R BT.1886: the signal to the power of 2.4), for each of its colours.
 *
 * @param red -200 to 200, as the others
 */
public record Light(int red, int green, int blue) {
  /** As much as the other has. */
  public static final Light SAME = new Light(0, 0, 0);

  /** More is not light that pumps or drifts, but another picture. */
  public static final int MOST = 200;

  /** The power by which a display makes light of its signal. */
  private static final double DISPLAY = 2.4;

  private static final double HUNDREDTHS = 100;

  /**
   * @throws IllegalArgumentException if it is more than two stops
   */
  public Light {
    if (Math.abs(red) > MOST || Math.abs(green) > MOST || Math.abs(blue) > MOST) {
      throw new Refused("Light is levelled by up to two stops, 200 hundredths.");
    }
  }

  /** The light of signals that are so many times as large; what is beyond two stops is cut off. */
  public static Light of(double red, double green, double blue) {
    return new Light(stops(red), stops(green), stops(blue));
  }

  /** By what the signals are multiplied for so many hundredths of a stop more. */
  public static double factor(double hundredths) {
    return Math.pow(2, hundredths / HUNDREDTHS / DISPLAY);
  }

  /** A share of it; negative for as much less. */
  public Light times(double share) {
    return new Light(
        (int) Math.round(share * red),
        (int) Math.round(share * green),
        (int) Math.round(share * blue));
  }

  /** The mean of the three, in hundredths of a stop. */
  public double mean() {
    return (red + green + blue) / 3.0;
  }

  private static int stops(double factor) {
    double stops = HUNDREDTHS * DISPLAY * Math.log(factor) / Math.log(2);
    return (int) Math.round(Math.max(-MOST, Math.min(MOST, stops)));
  }
}
