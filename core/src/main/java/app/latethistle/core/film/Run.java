package app.latethistle.core.film;

import app.latethistle.core.Refused;
import app.latethistle.core.time.FrameRange;

/**
 * How a take runs while it is on screen.
 *
 * <p>A run goes over its take at a speed that changes evenly from {@code from} to {@code to} over
 * so many frames of the film and stays what it is before and after. <i>s</i> frames into a run over
 * <i>n</i> it has covered {@code from * s + (to - from) * s * s / 2n} of the take's frames (speeds
 * as shares of 1). It is defined before its first frame and after its last too, for handles and for
 * sound that comes before its picture. Nothing here is rounded.
 *
 * <p>A run that was made for a shot fits whatever length the shot has ({@code over} is 0). Once the
 * shot is cut so that its pictures have to stay, the run is {@link #fixed}: it goes on over as many
 * frames as then, and the shot shows a part of it that begins {@code since} frames into it.
 *
 * @param way which way it runs
 * @param from speed at its first frame, in percent, 25 to 400
 * @param to speed at its end
 * @param between what is shown between two frames of the take
 * @param over how many frames of the film it goes over; 0 for as many as the shot has
 * @param since how many of them have gone by at the shot's first frame; negative if the shot begins
 *     before the run does
 */
public record Run(Way way, int from, int to, Between between, long over, long since) {
  /** As it was made. */
  public static final Run PLAIN = at(100);

  public static final int LEAST = 25;
  public static final int MOST = 400;

  /** A position this little past a frame needs no frame after it. */
  private static final double HAIR = 1e-9;

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
   * @throws IllegalArgumentException if a speed is outside 25 to 400 %, or it goes over a negative
   *     number of frames
   */
  public Run {
    if (Math.min(from, to) < LEAST || Math.max(from, to) > MOST) {
      throw new Refused(
          "A speed is from " + LEAST + " to " + MOST + " %, not " + from + " to " + to + " %.");
    }
    if (over < 0) {
      throw new Refused("A run goes over 0 frames or more, not " + over + ".");
    }
  }

  /** A run that fits its shot. */
  public Run(Way way, int from, int to, Between between) {
    this(way, from, to, between, 0, 0);
  }

  /** Forward at one speed, by nearest frames. */
  public static Run at(int percent) {
    return new Run(Way.FORWARD, percent, percent, Between.NEAREST);
  }

  /** The same the other way round. */
  public Run withWay(Way newWay) {
    return new Run(newWay, from, to, between, over, since);
  }

  /** The same that shows something else between two frames. */
  public Run withBetween(Between other) {
    return new Run(way, from, to, other, over, since);
  }

  private Run part(long newOver, long newSince) {
    return new Run(way, from, to, between, newOver, newSince);
  }

  /** Halfway between its first and its last speed, in percent. */
  public double mean() {
    return (from + to) / 2.0;
  }

  /** Whether it shows its take frame by frame, forward. */
  public boolean plain() {
    return way == Way.FORWARD && from == 100 && to == 100;
  }

  /** Whether it never runs out of its take. */
  public boolean endless() {
    return way == Way.HOLD || way == Way.BACK_AND_FORTH;
  }

  /**
   * The place in the take that is shown, in frames with their fraction; not held at the take's
   * ends.
   *
   * @param in the first of the take's frames that the run uses
   * @param material the take's length in frames, at which a run back and forth turns
   * @param k frames since the shot began; negative before it
   * @param n frames of the shot
   */
  public double position(long in, long material, long k, long n) {
    long whole = over == 0 ? n : over;
    return switch (way) {
      case HOLD -> in;
      case FORWARD -> in + covered(since + k, whole);
      case REVERSE -> in + used(whole) - 1 - covered(since + k, whole);
      case BACK_AND_FORTH -> in + folded(covered(since + k, whole), material - 1.0 - in);
    };
  }

  /** The same, held at the take's ends: what a picture is shown of. */
  public double frame(long in, long material, long k, long n) {
    return Math.max(0, Math.min(material - 1.0, position(in, material, k, n)));
  }

  /** A distance walked to and fro on a path of some length. */
  private static double folded(double distance, double length) {
    if (length <= 0) {
      return 0;
    }
    double turn = Math.abs(distance) % (2 * length);
    return turn <= length ? turn : 2 * length - turn;
  }

  /**
   * The run of a shot of n frames once it may not change with the shot's length any more: what it
   * shows at each moment stays when the shot's ends are moved.
   */
  Run fixed(long n) {
    boolean fits = over != 0 || plain() || way == Way.HOLD;
    return fits ? this : part(Math.max(1, n), since);
  }

  /** The fixed run of a shot that begins so many frames later. */
  Run startingLater(long by) {
    return way == Way.HOLD ? this : part(over, since + by);
  }

  /** How quick it is k frames into a shot of n, in percent, rounded. */
  public int speed(long k, long n) {
    long whole = over == 0 ? n : over;
    double within = whole == 0 ? 0 : Math.max(0, Math.min(1, (double) (since + k) / whole));
    return (int) Math.round(from + (to - from) * within);
  }

  /** How many frames of the take lie behind, s frames into a run over n. */
  private double covered(long s, long n) {
    double start = from / 100.0;
    double end = to / 100.0;
    if (s <= 0 || n == 0) {
      return start * s;
    }
    long within = Math.min(s, n);
    return start * within
        + (end - start) * ((double) within * within) / (2.0 * n)
        + end * (s - within);
  }

  /** How many frames of the take a shot of n frames covers, without rounding. */
  double covered(long n) {
    long whole = over == 0 ? n : over;
    return covered(since + n, whole) - covered(since, whole);
  }

  /** How many of the take's frames, from its first used one, a whole run over n frames needs. */
  private long used(long n) {
    return (long) Math.ceil(covered(n - 1, n) - HAIR) + 1;
  }

  /**
   * The take's frames that a shot of n frames shows, the first to after the last; they may lie
   * outside the take where there is too little of it.
   */
  public FrameRange shown(long in, long material, long n) {
    if (way == Way.BACK_AND_FORTH) {
      long whole = over == 0 ? n : over;
      double far =
          Math.max(
              Math.abs(covered(since, whole)),
              Math.abs(covered(since + Math.max(0, n - 1), whole)));
      long most = Math.max(in + 1, material);
      return new FrameRange(in, Math.min(most, in + (long) Math.ceil(far - HAIR) + 1));
    }
    double a = position(in, material, 0, n);
    double b = position(in, material, Math.max(0, n - 1), n);
    return new FrameRange(
        (long) Math.floor(Math.min(a, b) + HAIR), (long) Math.ceil(Math.max(a, b) - HAIR) + 1);
  }

  /** How many frames of the take are missing for a shot of n; 0 if there are enough. */
  public long missing(long in, long material, long n) {
    if (endless() || n <= 0) {
      return 0;
    }
    FrameRange shown = shown(in, material, n);
    return Math.max(0, -shown.start()) + Math.max(0, shown.end() - material);
  }
}
