package app.latethistle.core.time;

/** The film's sample grid: all sound positions in the model count samples at this rate. */
public final class Samples {
  /** Samples a second. */
  public static final int RATE = 48_000;

  private Samples() {}

  /** The sample nearest to a time in seconds; halves go up. */
  public static long ofSeconds(double seconds) {
    return Math.round(seconds * RATE);
  }

  /** The time of a sample in seconds. */
  public static double toSeconds(long sample) {
    return (double) sample / RATE;
  }
}
