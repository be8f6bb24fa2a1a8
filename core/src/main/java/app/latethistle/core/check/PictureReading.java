package app.latethistle.core.check;

import app.latethistle.core.picture.Frame;

/**
 * What is kept of one picture: shares of it, and means of 32 by 18 cells, in which flashes are
 * sought.
 */
final class PictureReading {
  /**
   * Cells of a row; with {@link #DOWN} squares of a wide picture, large enough to even out noise.
   */
  static final int ACROSS = 32;

  static final int DOWN = 18;
  static final int CELLS = ACROSS * DOWN;

  /** Black is luma within 2 % of its range above the darkest. */
  private static final int BLACK = 16 + (int) Math.round(0.02 * 219);

  /** EBU R 103-2020: luma from -1 % to 103 %, R, G and B from -5 % to 105 %, in 8 bits. */
  private static final int LEAST_LUMA = 14;

  private static final int MOST_LUMA = 242;
  private static final double LEAST_COLOUR = -0.05;
  private static final double MOST_COLOUR = 1.05;

  /** The share of its pixels that are black. */
  final double black;

  /** The share of its pixels whose colours may not be sent. */
  final double outside;

  /** The mean luma of each cell, in codes. */
  final float[] luma = new float[CELLS];

  /** The relative luminance of each cell's mean colour, 0 to 1. */
  final float[] luminance = new float[CELLS];

  /** How red each cell is by WCAG's measure: (R - G - B) of linear light x 320, 0 or more. */
  final float[] red = new float[CELLS];

  /** Whether a cell is a saturated red: R of linear light 0.8 or more of R + G + B. */
  final boolean[] saturated = new boolean[CELLS];

  /** The largest mean difference of luma to the picture before within a cell, in codes. */
  final double moved;

  /** The mean difference of luma to the picture before over all of it, in codes. */
  final double movedInAll;

  /**
   * Reads a picture.
   *
   * @param before the luma of the picture before, of the same size; null at a start
   */
  PictureReading(Frame frame, byte[] before) {
    int width = frame.width();
    int height = frame.height();
    byte[] data = frame.data();
    long dark = 0;
    long illegal = 0;
    double[] sums = new double[CELLS];
    double[] blues = new double[CELLS];
    double[] reds = new double[CELLS];
    double[] changes = new double[CELLS];
    int[] counts = new int[CELLS];
    for (int y = 0; y < height; y++) {
      int row = y * DOWN / height * ACROSS;
      int chroma = frame.offset(1) + y / 2 * (width / 2);
      int second = frame.offset(2) - frame.offset(1);
      for (int x = 0; x < width; x++) {
        int at = y * width + x;
        int cell = row + x * ACROSS / width;
        int value = data[at] & 0xff;
        int cb = data[chroma + x / 2] & 0xff;
        int cr = data[chroma + x / 2 + second] & 0xff;
        sums[cell] += value;
        blues[cell] += cb;
        reds[cell] += cr;
        counts[cell]++;
        dark += value <= BLACK ? 1 : 0;
        illegal += isOutside(value, cb, cr) ? 1 : 0;
        if (before != null) {
          changes[cell] += Math.abs(value - (before[at] & 0xff));
        }
      }
    }
    double pixels = (double) width * height;
    black = dark / pixels;
    outside = illegal / pixels;
    double most = before == null ? Double.POSITIVE_INFINITY : 0;
    double all = before == null ? Double.POSITIVE_INFINITY : 0;
    for (int cell = 0; cell < CELLS; cell++) {
      int count = Math.max(1, counts[cell]);
      luma[cell] = (float) (sums[cell] / count);
      colour(cell, sums[cell] / count, blues[cell] / count, reds[cell] / count);
      if (before != null) {
        most = Math.max(most, changes[cell] / count);
        all += changes[cell];
      }
    }
    moved = most;
    movedInAll = all / pixels;
  }

  private static double red(double luma, double cr) {
    return luma + 1.5748 * cr;
  }

  private static double green(double luma, double cb, double cr) {
    return luma - (0.0722 * 1.8556 * cb + 0.2126 * 1.5748 * cr) / 0.7152;
  }

  private static double blue(double luma, double cb) {
    return luma + 1.8556 * cb;
  }

  /** By ITU-R BT.709, limited range. */
  private static boolean isOutside(int luma, int cb, int cr) {
    if (luma < LEAST_LUMA || luma > MOST_LUMA) {
      return true;
    }
    double y = (luma - 16) / 219.0;
    double u = (cb - 128) / 224.0;
    double v = (cr - 128) / 224.0;
    return out(red(y, v)) || out(green(y, u, v)) || out(blue(y, u));
  }

  private static boolean out(double value) {
    return value < LEAST_COLOUR || value > MOST_COLOUR;
  }

  private void colour(int cell, double meanLuma, double meanCb, double meanCr) {
    double y = (meanLuma - 16) / 219;
    double u = (meanCb - 128) / 224;
    double v = (meanCr - 128) / 224;
    double r = linear(red(y, v));
    double g = linear(green(y, u, v));
    double b = linear(blue(y, u));
    luminance[cell] = (float) (0.2126 * r + 0.7152 * g + 0.0722 * b);
    red[cell] = (float) Math.max(0, (r - g - b) * 320);
    saturated[cell] = r > 0 && r >= 0.8 * (r + g + b);
  }

  /** WCAG 2.2's relative luminance of a channel, from sRGB. */
  private static double linear(double value) {
    double c = Math.max(0, Math.min(1, value));
    return c <= 0.04045 ? c / 12.92 : Math.pow((c + 0.055) / 1.055, 2.4);
  }

  /** The largest difference of a cell's mean luma, for pictures that were read apart. */
  double apart(PictureReading other) {
    double most = 0;
    for (int cell = 0; cell < CELLS; cell++) {
      most = Math.max(most, Math.abs(luma[cell] - other.luma[cell]));
    }
    return most;
  }
}
