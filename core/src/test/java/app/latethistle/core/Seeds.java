package app.latethistle.core;

import java.util.stream.LongStream;

/** Seeds for property tests; the seed of a failing run stands in the test's name. */
public final class Seeds {
  /** One seed in so many is tried where tests run a thousand times, as for mutants. */
  private static final int ONE_IN = Integer.getInteger("seeds.oneIn", 1);

  private Seeds() {}

  /** A few dozen seeds. */
  public static LongStream few() {
    return upTo(40);
  }

  /** Some hundreds, for cheap properties. */
  public static LongStream many() {
    return upTo(400);
  }

  private static LongStream upTo(int count) {
    return LongStream.rangeClosed(1, count / ONE_IN);
  }
}
