package app.latethistle.core.look;

import java.util.List;

/** What is seen while one shot becomes the next. */
public enum TransitionKind {
  /** Nothing: one frame is of the one, the next of the other. */
  CUT,
  /** The one fades while the other comes. */
  DISSOLVE,
  /** Both at full light half-way, as two projectors on one wall. */
  ADDITIVE,
  /** The one goes into a colour and the other comes out of it. */
  THROUGH,
  /** An edge passes over the picture. */
  WIPE,
  /** A circle opens from the middle. */
  CIRCLE,
  /** Strips open, all together. */
  BARS,
  /** Two halves part from the middle line. */
  DOORS,
  /** The one is pushed out by the other. */
  PUSH,
  /** The other comes in over the one. */
  SLIDE,
  /** Into the one and out of the other. */
  ZOOM,
  /** Both turn about the middle, too quick to be seen sharp. */
  SPIN,
  /** A burst of light hides the cut. */
  FLASH,
  /** Each side is drawn out along a direction. */
  SMEAR,
  /** A pattern says which place comes when. */
  LUMA;

  /** What can be said of a kind of transition beside its length. */
  public enum Part {
    /** Where the edge or the movement goes to. */
    ANGLE,
    /** The same in steps of 45 degrees. */
    DIRECTION,
    SOFTNESS,
    COLOUR,
    PATTERN
  }

  /** What can be said of it, in the order in which it is asked for. */
  public List<Part> parts() {
    return switch (this) {
      case CUT, DISSOLVE, ADDITIVE, ZOOM, SPIN -> List.of();
      case THROUGH, FLASH -> List.of(Part.COLOUR);
      case WIPE, BARS, DOORS -> List.of(Part.ANGLE, Part.SOFTNESS);
      case CIRCLE -> List.of(Part.SOFTNESS);
      case PUSH, SLIDE -> List.of(Part.DIRECTION);
      case SMEAR -> List.of(Part.ANGLE);
      case LUMA -> List.of(Part.PATTERN, Part.SOFTNESS);
    };
  }

  /** Whether this can be said of it. */
  boolean takes(Part part) {
    return parts().contains(part);
  }

  /** How it is if nothing is said. */
  public TransitionManner usual() {
    TransitionManner plain = TransitionManner.PLAIN;
    return switch (this) {
      case FLASH -> plain.withColour(TransitionManner.WHITE);
      case CIRCLE -> plain.withSoftness(100);
      case WIPE, DOORS, BARS -> plain.withSoftness(10);
      case LUMA -> plain.withSoftness(20).withPattern(LumaPattern.CLOUDS);
      default -> plain;
    };
  }
}
