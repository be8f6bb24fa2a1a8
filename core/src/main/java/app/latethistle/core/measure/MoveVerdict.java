package app.latethistle.core.measure;

import app.latethistle.core.story.CameraMove;
import java.util.Locale;

/**
 * The camera's move as asked and as measured.
 *
 * @param asked what was asked
 * @param measured the greatest of the movements, in the trade's words
 * @param percent how far that moved the picture, in per cent of the width (at the edge, for a zoom
 *     or turn)
 * @param match how the two agree
 */
public record MoveVerdict(CameraMove asked, String measured, double percent, Match match) {
  /** How a move agrees with what was asked. */
  public enum Match {
    AS_ASKED,
    /** The right way, but hardly to be seen. */
    WEAK,
    OTHER
  }

  /** Below this part of the width a camera counts as still. */
  public static final double STILL = 0.01;

  /** Judges a travel. */
  public static MoveVerdict of(CameraMove asked, Travel travel) {
    String measured = name(travel);
    return new MoveVerdict(asked, measured, 100 * travel.greatest(), match(asked, travel));
  }

  /** The name of the greatest movement; "still" below 1 % of the width. */
  public static String name(Travel t) {
    double greatest = t.greatest();
    if (greatest < STILL) {
      return "still";
    }
    if (greatest == t.zoomAtEdge()) {
      return t.zoom() > 1 ? "push in" : "pull out";
    }
    if (greatest == t.turnAtEdge()) {
      return "roll";
    }
    if (greatest == Math.abs(t.right())) {
      return t.right() < 0 ? "pan right" : "pan left";
    }
    return t.down() > 0 ? "tilt up" : "tilt down";
  }

  private static Match match(CameraMove asked, Travel t) {
    if (asked == CameraMove.STILL) {
      return t.greatest() < STILL ? Match.AS_ASKED : Match.OTHER;
    }
    double along =
        switch (asked) {
          case PUSH_IN -> (t.zoom() - 1) / 2;
          case PULL_OUT -> (1 - t.zoom()) / 2;
          case PAN_RIGHT -> -t.right();
          case PAN_LEFT -> t.right();
          case TILT_UP, RISE -> t.down();
          case TILT_DOWN -> -t.down();
          case ORBIT -> Math.abs(t.right());
          default -> t.greatest();
        };
    // Half of the greatest is enough: a push in that drifts a little is still one.
    if (along >= STILL && along >= t.greatest() / 2) {
      return Match.AS_ASKED;
    }
    return along > 0 && t.greatest() < STILL ? Match.WEAK : Match.OTHER;
  }

  /** "asked push in, measured pull out 8 %". */
  public String inWords() {
    String far = measured.equals("still") ? "" : String.format(Locale.ROOT, " %.0f %%", percent);
    return "asked " + asked.label() + ", measured " + measured + far;
  }
}
