package app.latethistle.core.subject;

import app.latethistle.core.grade.ColourPicture;

/**
 * How a subject, or the part of it in a window, has moved from one picture to the one beside it:
 * the shift, in whole pixels, that makes its pixels most alike.
 */
final class Drift {
  /** A subject goes at most this share of the picture's width from one picture to the next. */
  private static final double FARTHEST = 0.1;

  /** So many pixels are enough to tell how the whole has moved. */
  private static final int SAMPLES = 1500;

  /** How much farther or nearer than the whole a part may go, in pixels. */
  private static final int APART = 4;

  /** What a pixel apart from the whole's shift costs in mean difference; keeps flat parts along. */
  private static final double KEEPS = 0.6;

  private final ColourPicture from;
  private final ColourPicture to;
  private final int width;
  private final int height;

  Drift(ColourPicture from, ColourPicture to) {
    this.from = from;
    this.to = to;
    width = from.width();
    height = from.height();
  }

  /** A shift. */
  record Shift(int right, int down) {
    static final Shift NONE = new Shift(0, 0);
  }

  /** How the whole subject has moved. */
  Shift whole(Silhouette subject) {
    int[] all = subject.pixels(true);
    int each = Math.max(1, all.length / SAMPLES);
    int[] some = new int[(all.length + each - 1) / each];
    for (int i = 0; i < some.length; i++) {
      some[i] = all[i * each];
    }
    int reach = (int) Math.round(FARTHEST * width);
    Shift coarse = best(some, some.length, Shift.NONE, reach, 2, 0.02);
    return best(some, some.length, coarse, 2, 1, 0.02);
  }

  /** How the part of it in a window has moved. */
  Shift part(LocalWindow window, float[] depth, Shift whole) {
    int[] pixels = new int[(2 * LocalWindow.REACH + 1) * (2 * LocalWindow.REACH + 1)];
    int[] count = new int[1];
    window.each(
        width,
        height,
        (pixel, x, y) -> {
          if (depth[pixel] > 0) {
            pixels[count[0]++] = pixel;
          }
        });
    return count[0] == 0 ? whole : best(pixels, count[0], whole, APART, 1, KEEPS);
  }

  private Shift best(int[] pixels, int count, Shift around, int reach, int step, double keeps) {
    Shift best = around;
    double least = Double.MAX_VALUE;
    for (int down = -reach; down <= reach; down += step) {
      for (int right = -reach; right <= reach; right += step) {
        double cost = keeps * Math.hypot(right, down);
        if (cost >= least) {
          continue;
        }
        int x = around.right + right;
        int y = around.down + down;
        cost += apart(pixels, count, x, y);
        if (cost < least) {
          least = cost;
          best = new Shift(x, y);
        }
      }
    }
    return best;
  }

  /** The mean difference; what goes out of the picture is not counted, unless most of it does. */
  private double apart(int[] pixels, int count, int right, int down) {
    long sum = 0;
    int seen = 0;
    for (int i = 0; i < count; i++) {
      int x = pixels[i] % width + right;
      int y = pixels[i] / width + down;
      if (x >= 0 && y >= 0 && x < width && y < height) {
        int one = from.at(pixels[i]);
        int other = to.at(y * width + x);
        sum += Math.abs((one >> 16 & 0xff) - (other >> 16 & 0xff));
        sum += Math.abs((one >> 8 & 0xff) - (other >> 8 & 0xff));
        sum += Math.abs((one & 0xff) - (other & 0xff));
        seen++;
      }
    }
    return seen * 2 < count ? Double.MAX_VALUE : sum / (3.0 * seen);
  }
}
