package app.latethistle.core.grade;

import java.util.function.DoubleUnaryOperator;

/**
 * Between a signal and light; both go on below 0 as they do above it, mirrored. Those of BT.709 are
 * asked for often enough that their powers took most of a grading's time: up to two they lie evenly
 * between places of a table, within 2e-6 of what they are, which is a thousandth of an 8-bit code.
 */
final class Transfer {
  /** ITU-R BT.709-6, item 1.2, with the constants of BT.2020 that make both parts meet. */
  private static final double ALPHA = 1.09929682680944;

  private static final double BETA = 0.018053968510807;

  private static final int IN_TABLE = 2;
  private static final int PLACES_A_UNIT = 8192;
  private static final double[] LIGHTS = table(Transfer::lightOf);
  private static final double[] SIGNALS = table(Transfer::signalOf);

  private Transfer() {}

  /** BT.709's signal to light. */
  static double toLight(double signal) {
    double v = Math.abs(signal);
    double light = v < IN_TABLE ? between(LIGHTS, v) : lightOf(v);
    return signal < 0 ? -light : light;
  }

  /** Light to BT.709's signal. */
  static double toSignal(double light) {
    double l = Math.abs(light);
    double signal = l < IN_TABLE ? between(SIGNALS, l) : signalOf(l);
    return light < 0 ? -signal : signal;
  }

  private static double lightOf(double signal) {
    return signal < 4.5 * BETA ? signal / 4.5 : Math.pow((signal + ALPHA - 1) / ALPHA, 1 / 0.45);
  }

  private static double signalOf(double light) {
    return light < BETA ? 4.5 * light : ALPHA * Math.pow(light, 0.45) - (ALPHA - 1);
  }

  private static double[] table(DoubleUnaryOperator of) {
    double[] table = new double[IN_TABLE * PLACES_A_UNIT + 1];
    for (int i = 0; i < table.length; i++) {
      table[i] = of.applyAsDouble(i / (double) PLACES_A_UNIT);
    }
    return table;
  }

  private static double between(double[] table, double v) {
    double at = v * PLACES_A_UNIT;
    int place = (int) at;
    return table[place] + (at - place) * (table[place + 1] - table[place]);
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
