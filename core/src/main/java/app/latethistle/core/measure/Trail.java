package app.latethistle.core.measure;

import app.latethistle.core.Refused;
import java.util.List;

/**
 * Where a place of a take goes from picture to picture. Before its first and after its last spot it
 * stays where it is there.
 *
 * @param from the frame of the take, at the film's rate, of the first spot
 * @param spots one for each frame from there on, {@value #MOST} at most
 */
public record Trail(long from, List<Spot> spots) {
  /** Spots at most: 100 s at 24 a second, longer than any shot that something is laid on. */
  public static final int MOST = 2_400;

  private static final double WHOLE = 100_000;

  /**
   * A place in a picture; it may lie beside it.
   *
   * @param x in hundred-thousandths of the picture's width, from its left edge, -100000 to 200000
   * @param y of its height, from its top
   */
  public record Spot(int x, int y) {
    /**
     * @throws IllegalArgumentException if it lies farther than a picture's side beside the picture
     */
    public Spot {
      if (Math.min(x, y) < -WHOLE || Math.max(x, y) > 2 * WHOLE) {
        throw new Refused("A place that is followed lies in the picture or near it.");
      }
    }

    /** At shares of the picture's sides. */
    public static Spot of(double x, double y) {
      return new Spot((int) Math.round(x * WHOLE), (int) Math.round(y * WHOLE));
    }
  }

  /**
   * A place between pixels.
   *
   * @param x share of the picture's width, from its left edge
   * @param y of its height, from its top
   */
  public record Place(double x, double y) {}

  /**
   * Copies the list.
   *
   * @throws IllegalArgumentException if there is no spot, or more than {@value #MOST}
   */
  public Trail {
    spots = List.copyOf(spots);
    if (from < 0 || spots.isEmpty() || spots.size() > MOST) {
      throw new Refused(
          "A place is followed over 1 to " + MOST + " frames of a take, from its frame 0 on.");
    }
  }

  /** The take's frame after the last spot's. */
  public long end() {
    return from + spots.size();
  }

  /** Where the place is; between two frames it goes straight. */
  public Place at(double frame) {
    double on = Math.max(0, Math.min(spots.size() - 1.0, frame - from));
    int before = (int) on;
    Spot a = spots.get(before);
    Spot b = spots.get(Math.min(spots.size() - 1, before + 1));
    double share = on - before;
    return new Place((a.x + (b.x - a.x) * share) / WHOLE, (a.y + (b.y - a.y) * share) / WHOLE);
  }
}
