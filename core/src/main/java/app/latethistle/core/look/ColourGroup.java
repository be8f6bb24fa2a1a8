package app.latethistle.core.look;

import app.latethistle.core.Refused;
import java.util.List;

/**
 * Shots that look alike among themselves and otherwise than the rest of the film: of one place or
 * one time of day.
 *
 * @param name for people, 1 to 40 characters
 * @param key the shot that the others of it are to look like, by its id; one of them
 * @param shots their ids, at least one, none twice
 */
public record ColourGroup(String name, String key, List<String> shots) {
  /** The longest name. */
  public static final int LONGEST = 40;

  /**
   * @throws IllegalArgumentException if the name is empty or too long, or the key is not one of the
   *     shots
   */
  public ColourGroup {
    shots = shots.stream().distinct().toList();
    if (name.isBlank() || name.length() > LONGEST) {
      throw new Refused("A group's name has 1 to " + LONGEST + " characters.");
    }
    if (!shots.contains(key)) {
      throw new Refused("The key shot of \"" + name + "\" has to be one of its shots.");
    }
  }

  /** The same with another key shot. */
  public ColourGroup withKey(String other) {
    return new ColourGroup(name, other, shots);
  }
}
