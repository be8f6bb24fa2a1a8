package app.latethistle.core.repair;

import app.latethistle.core.Refused;
import app.latethistle.core.take.Box;

/**
 * A rectangle of a picture that is filled, in pixels; its sides are even, so that it is whole in
 * chroma too.
 *
 * @param x of its left side
 * @param y of its top
 */
public record Hole(int x, int y, int width, int height) {
  /** The soft edge of a mark reaches so far beyond its box, in shares of the picture's height. */
  private static final double EDGE = 0.006;

  /** More than this share of a side is no mark, and nobody knows what was behind it. */
  private static final double LARGEST = 0.5;

  /**
   * The rectangle of a box with the soft edge of what is in it.
   *
   * @throws IllegalArgumentException if it is more than half as wide or high as the picture
   */
  public static Hole of(Box box, int width, int height) {
    int edge = (int) Math.ceil(EDGE * height);
    int left = even(Math.max(0, box.left() * width - edge));
    int top = even(Math.max(0, box.top() * height - edge));
    int right = Math.min(width, even(box.right() * width + edge) + 2);
    int bottom = Math.min(height, even(box.bottom() * height + edge) + 2);
    if (right - left > LARGEST * width || bottom - top > LARGEST * height) {
      throw new Refused(
          "The box is more than half of the picture; nothing can be told of what is behind it.");
    }
    return new Hole(left, top, right - left, bottom - top);
  }

  private static int even(double at) {
    return (int) at / 2 * 2;
  }

  /** Whether a place lies in it or at most so far beside it. */
  boolean isNear(double atX, double atY, double beside) {
    return atX > x - 1 - beside
        && atX < x + width + beside
        && atY > y - 1 - beside
        && atY < y + height + beside;
  }

  /** The part of the picture around it: so many pixels to each side, as far as there are any. */
  Hole around(int pixels, int pictureWidth, int pictureHeight) {
    int margin = pixels / 2 * 2;
    int left = Math.max(0, x - margin);
    int top = Math.max(0, y - margin);
    return new Hole(
        left,
        top,
        Math.min(pictureWidth, x + width + margin) - left,
        Math.min(pictureHeight, y + height + margin) - top);
  }

  /** Where it lies in a part of the picture. */
  Hole within(Hole part) {
    return new Hole(x - part.x, y - part.y, width, height);
  }
}
