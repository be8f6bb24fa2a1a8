package app.latethistle.core.grade;

/** Between a signal and light; both go on below 0 as they do above it, mirrored. */
final class Transfer {
  /** ITU-R BT.709-6, item 1.2, with the constants of BT.2020 that make both parts meet. */
  private static final double ALPHA = 1.09929682680944;

  private static final double BETA = 0.018053968510807;

  private Transfer() {}

  /** BT.709's signal to light. */
  static double toLight(double signal) {
    double v = Math.abs(signal);
    double light = v < 4.5 * BETA ? v / 4.5 : Math.pow((v + ALPHA - 1) / ALPHA, 1 / 0.45);
    return signal < 0 ? -light : light;
  }

  /** Light to BT.709's signal. */
  static double toSignal(double light) {
    double l = Math.abs(light);
    double signal = l < BETA ? 4.5 * l : ALPHA * Math.pow(l, 0.45) - (ALPHA - 1);
    return light < 0 ? -signal : signal;
  }

  /** What a screen of IEC 61966-2-1 (sRGB) shows of a signal. */
  static double shown(double signal) {
    double v = Math.abs(signal);
    double light = v <= 0.04045 ? v / 12.92 : Math.pow((v + 0.055) / 1.055, 2.4);
    return signal < 0 ? -light : light;
  }

  /** What a screen of IEC 61966-2-1 needs to show a light. */
  static double toShow(double light) {
    double l = Math.abs(light);
    double signal = l <= 0.0031308 ? 12.92 * l : 1.055 * Math.pow(l, 1 / 2.4) - 0.055;
    return light < 0 ? -signal : signal;
  }
}
