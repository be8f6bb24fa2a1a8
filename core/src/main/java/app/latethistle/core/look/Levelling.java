package app.latethistle.core.look;

import app.latethistle.core.Refused;
import app.latethistle.core.measure.Light;
import java.util.List;

/**
 * The light of a take made even over a shot: what drifts or pumps through it is taken back. It was
 * measured in some frames of one take, and is done where that take is shown.
 *
 * @param media SHA-256 of the take's file; "" for none
 * @param from the first frame that was measured, at the film's rate
 * @param lights what the light is in each against their middle; beyond the ends as there
 * @param strength in percent, 0 to 100
 */
public record Levelling(String media, long from, List<Light> lights, int strength) {
  /** The light as it came. */
  public static final Levelling NONE = new Levelling("", 0, List.of(), 0);

  /** Frames of a shot that are measured at most: more than a clip that was generated has. */
  public static final int MOST = 1800;

  /**
   * Copies the list.
   *
   * @throws IllegalArgumentException if the strength is out of its range, or there are more frames
   *     than are measured
   */
  public Levelling {
    lights = List.copyOf(lights);
    if (strength < 0 || strength > 100) {
      throw new Refused("Light is levelled by 0 to 100 %, not by " + strength + " %.");
    }
    if (lights.size() > MOST) {
      throw new Refused("The light of a shot is levelled over at most " + MOST + " frames.");
    }
  }

  /** Whether the light of a take's file stays as it is. */
  public boolean leaves(String file) {
    return strength == 0 || lights.isEmpty() || !media.equals(file);
  }

  /** The same by another strength. */
  public Levelling withStrength(int other) {
    return new Levelling(media, from, lights, other);
  }

  /** The light of a frame of the take as it came; with a fraction, the nearest one's. */
  public Light light(double frame) {
    int at = (int) Math.max(0, Math.min(lights.size() - 1, Math.round(frame - from)));
    return lights.get(at);
  }

  /** What is added to a frame of the take. */
  public Light added(double frame) {
    return light(frame).times(-strength / 100.0);
  }
}
