package app.latethistle.core.film;

import app.latethistle.core.Refused;
import app.latethistle.core.sound.Decibels;
import java.util.List;

/**
 * How loud a bus is over the film.
 *
 * @param gain in decibels, -60 to 12
 * @param muted whether it is not heard at all
 * @param line what is added to the gain, from point to point evenly in decibels; none is 0
 */
public record BusLevel(double gain, boolean muted, List<Point> line) {
  /** As it is mixed. */
  public static final BusLevel PLAIN = new BusLevel(0, false, List.of());

  private static final int MOST = 200;

  /**
   * A point of the line.
   *
   * @param at its tie
   * @param gain in decibels, -60 to 12
   */
  public record Point(Tie at, double gain) {
    /**
     * @throws IllegalArgumentException if the gain is out of its range
     */
    public Point {
      Decibels.checked(gain);
    }
  }

  /**
   * @throws IllegalArgumentException if a value is out of its range
   */
  public BusLevel {
    Decibels.checked(gain);
    line = List.copyOf(line);
    if (line.size() > MOST) {
      throw new Refused("A level's line has at most " + MOST + " points.");
    }
  }
}
