package app.latethistle.core;

import java.math.BigDecimal;

/**
 * A value that a person gave cannot be used. The message is a sentence for them: which value, and
 * what it must be. Faults of ours are other exceptions, so that they are not shown as theirs.
 */
public class Refused extends IllegalArgumentException {
  private static final long serialVersionUID = 1;

  /**
   * @param sentence for the person
   */
  public Refused(String sentence) {
    super(sentence);
  }

  /** A value as a sentence writes it: "1000000000", not "1.0E9"; 20 for 20.0. */
  public static String number(double value) {
    return Double.isFinite(value)
        ? BigDecimal.valueOf(value).stripTrailingZeros().toPlainString()
        : Double.toString(value);
  }
}
