package app.latethistle.core.picture;

import app.latethistle.core.look.TransitionKind;
import app.latethistle.core.look.TransitionManner;

/**
 * Draws what is seen while one picture becomes another. What it draws follows from the two and from
 * how far it is alone: at 0 it is the one, at 1 the other. Made once for a size, for it may keep
 * maps and working frames; not for use by two threads at once.
 */
public interface TransitionPainter {

  /**
   * Draws a frame; none of the three may be the same.
   *
   * @param share how far it is, 0 to 1
   */
  void draw(Frame one, Frame other, double share, Frame into);

  /**
   * A painter by a still that says which place comes when: what is black at first, what is white at
   * last.
   *
   * @param still of the frames' size; it may be used again after this
   */
  static TransitionPainter by(Frame still, TransitionManner manner) {
    return new Reveal(RevealOrder.by(still), manner.softness() / 100.0, 0);
  }

  /**
   * A painter.
   *
   * @param width of the frames, even
   * @param height even
   */
  static TransitionPainter of(TransitionKind kind, TransitionManner manner, int width, int height) {
    double softness = manner.softness() / 100.0;
    return switch (kind) {
      case CUT -> (one, other, share, into) -> into.copy(share < 0.5 ? one : other);
      case DISSOLVE -> Blend::mix;
      case ADDITIVE -> Weighing.ADDITIVE;
      case THROUGH -> Weighing.through(manner.colour());
      case FLASH -> Weighing.flash(manner.colour());
      case WIPE, BARS, DOORS, LUMA ->
          new Reveal(RevealOrder.of(kind, manner, width, height), softness, 0);
      case CIRCLE ->
          new Reveal(RevealOrder.of(kind, manner, width, height), softness, softness / 2);
      case PUSH -> new Moving(manner.angle(), true);
      case SLIDE -> new Moving(manner.angle(), false);
      case ZOOM, SPIN, SMEAR -> Sweeping.of(kind, manner.angle(), width, height);
    };
  }
}
