package app.latethistle.core.plan;

import app.latethistle.core.look.Easing;
import app.latethistle.core.look.FramingPath;
import app.latethistle.core.look.View;
import app.latethistle.core.story.CameraMove;
import app.latethistle.core.take.PictureShape;
import java.util.Optional;

/**
 * A move over a still, or a clip that was locked off, as a shot's asked camera move wants it. How
 * far it goes is common practice, no source: a push in gains 6 % in two seconds and 12 % in six or
 * more; a pan goes as far as the picture allows.
 */
public final class FramingProposal {
  private static final double LEAST_PUSH = 0.06;
  private static final double MOST_PUSH = 0.12;
  private static final double SHORT = 2;
  private static final double LONG = 6;

  /** A take of the film's own shape is enlarged by so much to be panned over, in thousandths. */
  private static final int ROOM = 1120;

  private FramingProposal() {}

  /**
   * The move; empty for one that a picture cannot make (standing still, circling, following).
   *
   * @param seconds the shot lasts
   * @param filmAspect width of the film's picture over its height
   */
  public static Optional<FramingPath> of(
      CameraMove move, double seconds, PictureShape clip, double filmAspect) {
    double longer = Math.max(0, Math.min(1, (seconds - SHORT) / (LONG - SHORT)));
    int close = (int) Math.round(1000 * (1 + LEAST_PUSH + (MOST_PUSH - LEAST_PUSH) * longer));
    return switch (move) {
      case PUSH_IN -> path(View.WHOLE, View.enlarged(close));
      case PULL_OUT -> path(View.enlarged(close), View.WHOLE);
      case PAN_LEFT -> pan(clip, filmAspect, -1, 0);
      case PAN_RIGHT -> pan(clip, filmAspect, 1, 0);
      case TILT_UP, RISE -> pan(clip, filmAspect, 0, -1);
      case TILT_DOWN -> pan(clip, filmAspect, 0, 1);
      case STILL, ORBIT, FOLLOW -> Optional.empty();
    };
  }

  private static Optional<FramingPath> path(View first, View last) {
    return Optional.of(FramingPath.of(first, last, Easing.SLOW_BOTH));
  }

  /** From one edge of the picture to the other. */
  private static Optional<FramingPath> pan(
      PictureShape clip, double filmAspect, int across, int down) {
    double wider = clip.aspect() / filmAspect;
    boolean room = across != 0 ? wider > ROOM / 1000.0 : 1 / wider > ROOM / 1000.0;
    int size = room ? View.LEAST_SIZE : ROOM;
    // As far as there is: the edge holds it.
    int far = 5000;
    View first = new View(size, -across * far, -down * far, 0);
    View last = new View(size, across * far, down * far, 0);
    return Optional.of(FramingPath.of(first, last, Easing.SLOW_BOTH).within(clip, filmAspect));
  }
}
