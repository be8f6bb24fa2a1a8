package app.latethistle.core.look;

import app.latethistle.core.Refused;
import java.math.BigInteger;

/**
 * The proportion of a picture with square pixels, in lowest terms: 1920x1080 and 1280x720 are both
 * 16 to 9.
 *
 * @param across more than 0
 * @param down more than 0
 */
public record Shape(int across, int down) implements Comparable<Shape> {
  /**
   * @throws IllegalArgumentException if a side is not above 0
   */
  public Shape {
    if (across <= 0 || down <= 0) {
      throw new Refused(
          "A picture of " + across + " to " + down + " has no shape; both sides are above 0.");
    }
    int common = BigInteger.valueOf(across).gcd(BigInteger.valueOf(down)).intValue();
    across /= common;
    down /= common;
  }

  /** The shape of a picture of these sides. */
  public static Shape of(int width, int height) {
    return new Shape(width, height);
  }

  /** Wider ones last. */
  @Override
  public int compareTo(Shape other) {
    return Long.compare((long) across * other.down, (long) other.across * down);
  }

  /** "16:9". */
  @Override
  public String toString() {
    return across + ":" + down;
  }
}
