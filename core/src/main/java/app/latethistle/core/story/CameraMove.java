package app.latethistle.core.story;

import app.latethistle.core.Refused;
import java.util.Locale;

/** What the camera is asked to do in a shot. */
public enum CameraMove {
  STILL("still", "the camera stands still"),
  PUSH_IN("push in", "the camera pushes in"),
  PULL_OUT("pull out", "the camera pulls out"),
  PAN_LEFT("pan left", "the camera pans left"),
  PAN_RIGHT("pan right", "the camera pans right"),
  TILT_UP("tilt up", "the camera tilts up"),
  TILT_DOWN("tilt down", "the camera tilts down"),
  ORBIT("orbit", "the camera circles around"),
  FOLLOW("follow", "the camera follows"),
  RISE("rise", "the camera rises");

  private static final String[] STRENGTH = {"", "gently, a little", "", "fast and far"};

  private final String label;
  private final String words;

  CameraMove(String label, String words) {
    this.label = label;
    this.words = words;
  }

  /** Its name in the trade. */
  public String label() {
    return label;
  }

  /**
   * As a prompt says it.
   *
   * @param strength 1 a little, 2 as usual, 3 strongly
   */
  String inWords(int strength) {
    return this == STILL || STRENGTH[strength].isEmpty() ? words : words + " " + STRENGTH[strength];
  }

  /**
   * Reads a name such as "push in", "Push-in" or "PUSH_IN"; a pan or tilt without direction goes
   * right or up.
   *
   * @throws IllegalArgumentException if it names no move
   */
  public static CameraMove parse(String name) {
    String wanted = name.strip().toLowerCase(Locale.ROOT).replaceAll("[\\s_-]+", " ");
    if (wanted.equals("pan") || wanted.equals("tilt")) {
      return wanted.equals("pan") ? PAN_RIGHT : TILT_UP;
    }
    for (CameraMove move : values()) {
      if (move.label.equals(wanted)) {
        return move;
      }
    }
    throw new Refused(
        "'"
            + name
            + "' is no camera move; give one of still, push in, pull out, pan left, pan right,"
            + " tilt up, tilt down, orbit, follow, rise.");
  }
}
