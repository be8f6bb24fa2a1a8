package app.latethistle.core.film;

/**
 * How a take runs while it is on screen.
 *
 * <p>A shot of <i>n</i> frames runs over its take at a speed that goes evenly from {@code from} at
 * its first frame to {@code to} at its end, so <i>k</i> frames in it has covered {@code from * k +
 * (to - from) * k * k / 2n} of the take's frames (speeds as shares of 1).
 *
 * @param way which way it runs
 * @param from speed at the shot's first frame, in percent, 25 to 400
 * @param to speed at its end
 * @param between what is shown between two frames of the take
 */
public record Run(Way way, int from, int to, Between between) {
  /** As it was made. */
  public static final Run PLAIN = at(100);

  public static final int LEAST = 25;
  public static final int MOST = 400;

  /** Which way a take runs. */
  public enum Way {
    /** From the first used frame on. */
    FORWARD,
    /** The same frames as forward, the last of them first. */
    REVERSE,
    /** On to the take's last frame, back to the first used one, and on again. */
    BACK_AND_FORTH,
    /** The first used frame, all the time. */
    HOLD
  }

  /** What is shown between two frames of a take. */
  public enum Between {
    /** The nearer frame. */
    NEAREST,
    /** Both, mixed. */
    BLENDED,
    /** What moves is drawn where it would be. */
    MOTION
  }

  /**
   * @throws IllegalArgumentException if a speed is outside 25 to 400 %
   */
  public Run {
    if (Math.min(from, to) < LEAST || Math.max(from, to) > MOST) {
      throw new IllegalArgumentException(
          "A speed is from " + LEAST + " to " + MOST + " %, not " + from + " to " + to + " %.");
    }
  }

  /** Forward at one speed, by nearest frames. */
  public static Run at(int percent) {
    return new Run(Way.FORWARD, percent, percent, Between.NEAREST);
  }

  /** The same the other way round. */
  public Run withWay(Way newWay) {
    return new Run(newWay, from, to, between);
  }

  /** Whether it shows its take frame by frame, forward. */
  public boolean plain() {
    return way == Way.FORWARD && from == 100 && to == 100;
  }

  /**
   * The take's frame that is shown, with a fraction where it lies between two; held at the take's
   * ends.
   *
   * @param in the take's first used frame
   * @param material the take's length in frames
   * @param k frames since the shot began
   * @param n frames of the shot
   */
  public double frame(long in, long material, long k, long n) {
    double last = material - 1.0;
    double on =
        switch (way) {
          case HOLD -> in;
          case FORWARD -> in + covered(k, n);
          case REVERSE -> in + used(n) - 1 - covered(k, n);
          case BACK_AND_FORTH -> in + folded(covered(k, n), last - in);
        };
    return Math.max(0, Math.min(last, on));
  }

  /** A distance walked to and fro on a path of some length. */
  private static double folded(double distance, double length) {
    if (length <= 0) {
      return 0;
    }
    double turn = distance % (2 * length);
    return turn <= length ? turn : 2 * length - turn;
  }

  /** The part of it before frame k of a shot of n. */
  Run before(long k, long n) {
    return new Run(way, from, speed(k, n), between);
  }

  /** The part of it from frame k of a shot of n on. */
  Run after(long k, long n) {
    return new Run(way, speed(k, n), to, between);
  }

  private int speed(long k, long n) {
    return (int) Math.round(from + (to - from) * (double) k / n);
  }

  /** How many frames of the take lie behind, k frames into a shot of n. */
  double covered(long k, long n) {
    double start = from / 100.0;
    double gain = (to - from) / 100.0;
    return n == 0 ? 0 : start * k + gain * k * k / (2.0 * n);
  }

  /** How many of the take's frames, from its first used one, a shot of n frames runs over. */
  public long used(long n) {
    return way == Way.HOLD ? 1 : (long) Math.ceil(covered(n - 1, n) - 1e-9) + 1;
  }

  /** How many frames of the take are missing for a shot of n; 0 if there are enough. */
  public long missing(long in, long material, long n) {
    boolean endless = way == Way.HOLD || way == Way.BACK_AND_FORTH;
    return endless || n <= 0 ? 0 : Math.max(0, in + used(n) - material);
  }
}
