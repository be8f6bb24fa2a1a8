package app.latethistle.core.words;

import app.latethistle.core.Refused;

/** Says which numbers a value takes. */
final class Range {
  private Range() {}

  /**
   * @throws IllegalArgumentException if a value is out of its range, in a sentence that names it
   */
  static void check(String what, int value, int least, int most, String unit) {
    if (value < least || value > most) {
      throw new Refused(
          what + " is from " + least + " to " + most + " " + unit + ", not " + value + ".");
    }
  }
}
