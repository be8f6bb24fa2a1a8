package app.latethistle.core.grade;

import app.latethistle.core.picture.Hue;

/**
 * Oklab (Ottosson 2020, "A perceptual color space for image processing"): lightness 0 to 1, a and b
 * around 0; what is twice as far from neutral looks twice as strong.
 */
record Oklab(double lightness, double a, double b) {
  /** Of a signal. */
  static Oklab of(Signal v) {
    return ofLight(
        Transfer.toLight(v.red()), Transfer.toLight(v.green()), Transfer.toLight(v.blue()));
  }

  /**
   * The direction of a hue, of length one and without lightness.
   *
   * @param degrees on the colour circle: 0 red, 120 green, 240 blue
   */
  static Oklab ofHue(double degrees) {
    Oklab full =
        of(
            new Signal(
                Hue.channel(degrees), Hue.channel(degrees - 120), Hue.channel(degrees + 120)));
    return new Oklab(0, full.a / full.chroma(), full.b / full.chroma());
  }

  /** From linear light of BT.709's primaries. */
  static Oklab ofLight(double red, double green, double blue) {
    double l = Math.cbrt(0.4122214708 * red + 0.5363325363 * green + 0.0514459929 * blue);
    double m = Math.cbrt(0.2119034982 * red + 0.6806995451 * green + 0.1073969566 * blue);
    double s = Math.cbrt(0.0883024619 * red + 0.2817188376 * green + 0.6299787005 * blue);
    return new Oklab(
        0.2104542553 * l + 0.7936177850 * m - 0.0040720468 * s,
        1.9779984951 * l - 2.4285922050 * m + 0.4505937099 * s,
        0.0259040371 * l + 0.7827717662 * m - 0.8086757660 * s);
  }

  double chroma() {
    return Math.hypot(a, b);
  }

  Oklab withChromaTimes(double factor) {
    return new Oklab(lightness, a * factor, b * factor);
  }

  /** Linear light. */
  double[] light() {
    double l = cube(lightness + 0.3963377774 * a + 0.2158037573 * b);
    double m = cube(lightness - 0.1055613458 * a - 0.0638541728 * b);
    double s = cube(lightness - 0.0894841775 * a - 1.2914855480 * b);
    return new double[] {
      4.0767416621 * l - 3.3077115913 * m + 0.2309699292 * s,
      -1.2684380046 * l + 2.6097574011 * m - 0.3413193965 * s,
      -0.0041960863 * l - 0.7034186147 * m + 1.7076147010 * s
    };
  }

  /** As BT.709 codes it. */
  Signal signal() {
    double[] light = light();
    return new Signal(
        Transfer.toSignal(light[0]), Transfer.toSignal(light[1]), Transfer.toSignal(light[2]));
  }

  private static double cube(double v) {
    return v * v * v;
  }
}
