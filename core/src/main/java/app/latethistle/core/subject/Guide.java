package app.latethistle.core.subject;

import app.latethistle.core.Refused;
import java.util.List;

/**
 * What a person drew on one picture of a clip.
 *
 * @param frame the picture, from 0 on
 * @param strokes later ones hold where they meet earlier ones
 */
public record Guide(long frame, List<Stroke> strokes) {
  private static final int MOST_STROKES = 100;

  /**
   * Copies the list.
   *
   * @throws IllegalArgumentException if there is nothing drawn, or too much
   */
  public Guide {
    strokes = List.copyOf(strokes);
    if (frame < 0) {
      throw new Refused("A clip has no picture " + frame + ".");
    }
    if (strokes.isEmpty() || strokes.size() > MOST_STROKES) {
      throw new Refused("Draw 1 to " + MOST_STROKES + " strokes on a picture.");
    }
  }

  /** Whether it says of some place that the subject is there. */
  boolean saysWhere() {
    return strokes.stream().anyMatch(s -> s.kind() != Stroke.Kind.OUT);
  }
}
