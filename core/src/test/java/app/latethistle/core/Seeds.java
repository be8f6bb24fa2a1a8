package app.latethistle.core;

import java.util.stream.LongStream;

/** Seeds for property tests; the seed of a failing run stands in the test's name. */
public final class Seeds {
  private Seeds() {}

  /** A few dozen seeds. */
  public static LongStream few() {
    return LongStream.range(1, 41);
  }

  /** Some hundreds, for cheap properties. */
  public static LongStream many() {
    return LongStream.range(1, 401);
  }
}
