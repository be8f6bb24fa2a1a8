package app.latethistle.core.story;

import app.latethistle.core.Refused;
import java.util.List;

/**
 * A shot as it is wanted.
 *
 * @param id what it is known by, whatever its number; 1 or more
 * @param number "010", "020" ... with room between
 * @param seen what is seen
 * @param who the people in it, by name
 * @param where the place, by name, or ""
 * @param action what happens, or ""
 * @param move what the camera does
 * @param strength of the move: 1 a little, 2 as usual, 3 strongly
 * @param seconds its wanted length, 0.2 to 600
 * @param mood in a few words, or ""
 * @param sounds ideas for its sounds
 * @param lettering words to be read in the picture, or ""
 * @param line the number of the script's line it belongs to, or 0 for no voice
 */
public record StoryShot(
    int id,
    String number,
    String seen,
    List<String> who,
    String where,
    String action,
    CameraMove move,
    int strength,
    double seconds,
    String mood,
    List<String> sounds,
    String lettering,
    int line) {
  /** The longest text of a field, in characters. */
  public static final int LONGEST = 1000;

  /**
   * @throws IllegalArgumentException if a value is out of range; the message names the shot
   */
  public StoryShot {
    who = List.copyOf(who);
    sounds = List.copyOf(sounds);
    if (!number.matches("\\d{1,6}")) {
      throw new Refused(
          "'" + number + "' is not a shot number; give one to six digits, such as 010.");
    }
    if (strength < 1 || strength > 3) {
      throw new Refused(
          "Shot " + number + ": the strength of a move is 1, 2 or 3, not " + strength + ".");
    }
    if (!(seconds >= 0.2 && seconds <= 600)) {
      throw new Refused(
          "Shot "
              + number
              + ": "
              + Refused.number(seconds)
              + " s is no length for a shot; give 0.2 to 600.");
    }
    for (String text : List.of(seen, where, action, mood, lettering)) {
      if (text.length() > LONGEST) {
        throw new Refused("Shot " + number + ": a field holds up to " + LONGEST + " characters.");
      }
    }
  }

  /** A shot of which only little is known yet. */
  static StoryShot of(int id, String number, String seen, double seconds) {
    return new StoryShot(
        id, number, seen, List.of(), "", "", CameraMove.STILL, 2, seconds, "", List.of(), "", 0);
  }

  StoryShot numbered(String newNumber) {
    return new StoryShot(
        id, newNumber, seen, who, where, action, move, strength, seconds, mood, sounds, lettering,
        line);
  }

  StoryShot withId(int newId) {
    return new StoryShot(
        newId, number, seen, who, where, action, move, strength, seconds, mood, sounds, lettering,
        line);
  }

  StoryShot lasting(double newSeconds) {
    return new StoryShot(
        id,
        number,
        seen,
        who,
        where,
        action,
        move,
        strength,
        newSeconds,
        mood,
        sounds,
        lettering,
        line);
  }

  StoryShot showing(String newSeen, String newAction) {
    return new StoryShot(
        id, number, newSeen, who, where, newAction, move, strength, seconds, mood, sounds,
        lettering, line);
  }

  StoryShot onLine(int newLine) {
    return new StoryShot(
        id, number, seen, who, where, action, move, strength, seconds, mood, sounds, lettering,
        newLine);
  }
}
