package app.latethistle.core.look;

import java.util.Optional;

/**
 * A value of a treatment, which may follow a clock.
 *
 * @param value at rest, in its parameter's unit
 * @param drive what moves it
 */
public record Dial(int value, Optional<Drive> drive) {

  /** A value that stays. */
  public static Dial at(int value) {
    return new Dial(value, Optional.empty());
  }

  /** A value at rest that is moved. */
  public static Dial driven(int rest, Drive drive) {
    return new Dial(rest, Optional.of(drive));
  }
}
