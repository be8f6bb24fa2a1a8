package app.latethistle.core.grade;

/**
 * CIE 1976 L*a*b* against D65 (CIE 15): how a colour looks on a screen of IEC 61966-2-1.
 *
 * @param lightness 0 to 100
 * @param a towards red, below 0 towards green
 * @param b towards yellow, below 0 towards blue
 */
public record Lab(double lightness, double a, double b) {
  private static final double EPSILON = 216.0 / 24389;
  private static final double KAPPA = 24389.0 / 27;

  /** How a signal looks. */
  public static Lab of(Signal signal) {
    double red = Transfer.shown(signal.red());
    double green = Transfer.shown(signal.green());
    double blue = Transfer.shown(signal.blue());
    double x = f(Matrix.TO_XYZ.row(0, red, green, blue) / White.D65[0]);
    double y = f(Matrix.TO_XYZ.row(1, red, green, blue));
    double z = f(Matrix.TO_XYZ.row(2, red, green, blue) / White.D65[2]);
    return new Lab(116 * y - 16, 500 * (x - y), 200 * (y - z));
  }

  private static double f(double t) {
    return t > EPSILON ? Math.cbrt(t) : (KAPPA * t + 16) / 116;
  }

  /** What has to be added to another to come here. */
  Lab minus(Lab other) {
    return new Lab(lightness - other.lightness, a - other.a, b - other.b);
  }

  /** How far it lies from the origin, 1976: of a difference, how large it is. */
  double length() {
    return Math.sqrt(lightness * lightness + a * a + b * b);
  }

  /** How far from neutral. */
  public double chroma() {
    return Math.hypot(a, b);
  }
}
