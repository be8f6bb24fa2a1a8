package app.latethistle.core.type;

import app.latethistle.core.picture.Blurring;
import java.awt.Rectangle;

/**
 * Values of a part of a picture, softened. What is softened much is kept at half the size, and what
 * is between is drawn straight; by how much that softens more is softened less.
 */
final class Soft {
  /** From this standard deviation on, in pixels, half the size cannot be told. */
  private static final double MUCH = 3;

  /** The variance of a mean of two by two, 1/4, and of going straight over two pixels, 2/3. */
  private static final double HALVED = 1 / 4.0 + 2 / 3.0;

  private final Rectangle part;
  private final int step;
  private final int across;
  private final int down;
  private final float[] values;

  private Soft(Rectangle part, int step, int across, int down, float[] values) {
    this.part = part;
    this.step = step;
    this.across = across;
    this.down = down;
    this.values = values;
  }

  /**
   * Softens.
   *
   * @param part where the values are
   * @param values row by row
   * @param sigma standard deviation in pixels
   */
  static Soft of(Rectangle part, float[] values, double sigma) {
    int step = sigma < MUCH ? 1 : 2;
    int across = (part.width + step - 1) / step;
    int down = (part.height + step - 1) / step;
    Blurring blurring = new Blurring(across, down);
    float[] into = blurring.values();
    if (step == 1) {
      System.arraycopy(values, 0, into, 0, values.length);
      return new Soft(part, step, across, down, blurring.blurred(sigma));
    }
    for (int y = 0; y < part.height; y++) {
      for (int x = 0; x < part.width; x++) {
        into[y / 2 * across + x / 2] += values[y * part.width + x] / 4;
      }
    }
    double half = Math.sqrt(sigma * sigma - HALVED) / 2;
    return new Soft(part, step, across, down, blurring.blurred(half));
  }

  /** The part of the picture in which there are any. */
  Rectangle part() {
    return new Rectangle(part);
  }

  /** The value of a pixel of the part. */
  float at(int x, int y) {
    int right = x - part.x;
    int below = y - part.y;
    if (step == 1) {
      return values[below * across + right];
    }
    // Its two neighbours each way are a quarter and three quarters away.
    int left = (right - 1) >> 1;
    int top = (below - 1) >> 1;
    float wide = (right & 1) == 0 ? 0.75f : 0.25f;
    float high = (below & 1) == 0 ? 0.75f : 0.25f;
    float above = mean(top, left, wide);
    return above + high * (mean(top + 1, left, wide) - above);
  }

  /** Between two values of a row. */
  private float mean(int row, int left, float share) {
    int at = Math.max(0, Math.min(down - 1, row)) * across;
    float a = values[at + Math.max(0, left)];
    return a + share * (values[at + Math.min(across - 1, left + 1)] - a);
  }
}
