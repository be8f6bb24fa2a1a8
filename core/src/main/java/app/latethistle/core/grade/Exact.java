package app.latethistle.core.grade;

import app.latethistle.core.look.Basics;

/** The numbers of {@link Basics} before they are rounded, in the same units. */
record Exact(double exposure, double contrast, double warmth, double tint, double saturation) {
  static Exact of(Basics basics) {
    return new Exact(
        basics.exposure(), basics.contrast(), basics.warmth(), basics.tint(), basics.saturation());
  }

  /** Rounded, and held to where they go. */
  Basics rounded() {
    return new Basics(
        round(exposure, Basics.MOST_EXPOSURE),
        round(contrast, Basics.MOST),
        round(warmth, Basics.MOST),
        round(tint, Basics.MOST),
        round(saturation, Basics.MOST));
  }

  private static int round(double value, int most) {
    return (int) Math.round(Math.max(-most, Math.min(most, value)));
  }
}
