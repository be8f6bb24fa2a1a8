package app.latethistle.core.grade;

/**
 * How far apart two colours look: CIEDE2000 (ISO/CIE 11664-6) with all weights 1, as written by
 * Sharma, Wu and Dalal, "The CIEDE2000 color-difference formula", Color Research and Application
 * 30(1), 2005. 1 is about what can just be seen side by side.
 */
public final class Ciede2000 {
  private static final double POW_25_7 = Math.pow(25, 7);

  private Ciede2000() {}

  /** The difference, 0 or more. */
  public static double between(Lab one, Lab other) {
    double mean = (one.chroma() + other.chroma()) / 2;
    double g = 0.5 * (1 - bent(mean));
    double a1 = one.a() * (1 + g);
    double a2 = other.a() * (1 + g);
    double c1 = Math.hypot(a1, one.b());
    double c2 = Math.hypot(a2, other.b());
    double h1 = hue(a1, one.b());
    double h2 = hue(a2, other.b());

    double lightness = other.lightness() - one.lightness();
    double chroma = c2 - c1;
    double turn = turn(c1, c2, h1, h2);
    double hue = 2 * Math.sqrt(c1 * c2) * Math.sin(Math.toRadians(turn / 2));

    double l = (one.lightness() + other.lightness()) / 2;
    double c = (c1 + c2) / 2;
    double h = c1 * c2 == 0 ? h1 + h2 : middle(h1, h2);
    double t =
        1 - 0.17 * cos(h - 30) + 0.24 * cos(2 * h) + 0.32 * cos(3 * h + 6) - 0.20 * cos(4 * h - 63);
    double fromGrey = (l - 50) * (l - 50);
    double sl = 1 + 0.015 * fromGrey / Math.sqrt(20 + fromGrey);
    double sc = 1 + 0.045 * c;
    double sh = 1 + 0.015 * c * t;
    double blue = (h - 275) / 25;
    double rt = -2 * bent(c) * Math.sin(Math.toRadians(60 * Math.exp(-blue * blue)));
    double dl = lightness / sl;
    double dc = chroma / sc;
    double dh = hue / sh;
    return Math.sqrt(Math.max(0, dl * dl + dc * dc + dh * dh + rt * dc * dh));
  }

  private static double bent(double chroma) {
    double c = Math.pow(chroma, 7);
    return Math.sqrt(c / (c + POW_25_7));
  }

  /** In degrees, 0 to 360. */
  private static double hue(double a, double b) {
    double h = Math.toDegrees(Math.atan2(b, a));
    return h < 0 ? h + 360 : h;
  }

  private static double turn(double c1, double c2, double h1, double h2) {
    if (c1 * c2 == 0) {
      return 0;
    }
    double turn = h2 - h1;
    return turn > 180 ? turn - 360 : turn < -180 ? turn + 360 : turn;
  }

  private static double middle(double h1, double h2) {
    double sum = h1 + h2;
    if (Math.abs(h1 - h2) <= 180) {
      return sum / 2;
    }
    return sum < 360 ? (sum + 360) / 2 : (sum - 360) / 2;
  }

  private static double cos(double degrees) {
    return Math.cos(Math.toRadians(degrees));
  }
}
