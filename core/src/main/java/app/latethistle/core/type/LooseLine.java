package app.latethistle.core.type;

import java.util.OptionalDouble;

/**
 * A line that is set and not yet placed.
 *
 * @param shaped its letters
 * @param size of them, in pixels
 * @param x of its left end, in pixels, where a column says it; empty where it is aligned in its box
 * @param shares whether the line after it stands on the same base line
 */
record LooseLine(ShapedLine shaped, double size, OptionalDouble x, boolean shares) {
  /** One that is aligned in its box, on a base line of its own. */
  static LooseLine of(ShapedLine shaped, double size) {
    return new LooseLine(shaped, size, OptionalDouble.empty(), false);
  }
}
