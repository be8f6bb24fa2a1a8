package app.latethistle.core.look;

/**
 * How an upper layer mixes with what lies under it, channel by channel of red, green and blue as
 * coded, 0 to 1, by the formulas of W3C's Compositing and Blending Level 1.
 */
public enum Mixing {
  /** It hides what lies under it. */
  NORMAL,
  /** The sum, at most 1 ("plus-lighter"). */
  ADD,
  /** The product. */
  MULTIPLY,
  /** What is left of 1 by both: 1 - (1 - a)(1 - b). */
  SCREEN,
  /** The smaller. */
  DARKEN,
  /** The larger. */
  LIGHTEN,
  /** Doubled, the product where it is dark under it, else the screen. */
  OVERLAY
}
