package app.latethistle.core.look;

import app.latethistle.core.Refused;
import app.latethistle.core.take.PictureShape;

/**
 * What of a take is seen: a window of the film's shape on it. At a size of 1000 it is the largest
 * that the take holds.
 *
 * @param size how much the take is enlarged against that, in thousandths, 1000 to 8000
 * @param right how far the window's middle lies right of the take's, in ten-thousandths of the
 *     take's width; negative for left
 * @param down the same downward, of its height
 * @param turn by how much the camera is turned clockwise, in hundredths of a degree, -18000 to
 *     18000
 */
public record View(int size, int right, int down, int turn) {
  /** As much as the take holds, about its middle. */
  public static final View WHOLE = new View(1000, 0, 0, 0);

  public static final int LEAST_SIZE = 1000;
  public static final int MOST_SIZE = 8000;
  private static final double HAIR = 1e-6;
  private static final int FARTHEST = 5000;
  private static final int HALF_TURN = 18_000;

  /**
   * @throws IllegalArgumentException if a value is out of its range
   */
  public View {
    if (size < LEAST_SIZE || size > MOST_SIZE) {
      throw new Refused(
          "A picture's size is from 100 to 800 % of what fills the film, not "
              + Refused.number(size / 10.0)
              + " %.");
    }
    if (Math.abs(right) > FARTHEST || Math.abs(down) > FARTHEST) {
      throw new Refused("A picture is moved by half of the take at most, to either side.");
    }
    if (Math.abs(turn) > HALF_TURN) {
      throw new Refused("A picture is turned by up to 180 degrees to either side.");
    }
  }

  /**
   * The nearest view inside a take: enlarged as little as covers the picture when it is turned,
   * then moved in. Rounded inward.
   */
  public View within(PictureShape clip, double filmAspect) {
    Window whole = Window.of(WHOLE, clip, filmAspect);
    Window inside = Window.of(this, clip, filmAspect).within(clip);
    double across = clip.width() * clip.pixelAspect();
    return new View(
        (int) Math.min(MOST_SIZE, Math.ceil(1000 * whole.width() / inside.width() - HAIR)),
        inward(10_000 * (inside.x() / across - 0.5)),
        inward(10_000 * (inside.y() / clip.height() - 0.5)),
        turn);
  }

  private static int inward(double value) {
    return (int) (value + Math.signum(value) * HAIR);
  }

  /** Enlarged, about the middle. */
  public static View enlarged(int size) {
    return new View(size, 0, 0, 0);
  }
}
