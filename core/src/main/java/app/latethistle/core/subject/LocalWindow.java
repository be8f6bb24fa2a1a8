package app.latethistle.core.subject;

import app.latethistle.core.grade.ColourPicture;
import java.util.Arrays;

/**
 * A small square on a subject's edge, with what colours the subject and the rest have there (Bai,
 * Wang, Simons and Sapiro 2009, "Video SnapCut"). Sizes are theirs, from memory, halved for
 * pictures half as large.
 */
final class LocalWindow {
  /** From its middle to its sides, in pixels. */
  static final int REACH = 15;

  private static final int PARTS = 3;

  /** Colours nearer to the edge than this are mixed, and not learned. */
  private static final double MIXED = 2;

  /** Fewer pixels tell no colours. */
  private static final int FEWEST = 12;

  /** How near its edge a shape is trusted at least, in pixels. */
  private static final double LEAST_SIGMA = 1.5;

  /** Colours that part so well need no more help of the shape than that. */
  private static final double GOOD = 0.85;

  private double x;
  private double y;
  private Mixture in;
  private Mixture out;
  private double trust;

  LocalWindow(double x, double y) {
    this.x = x;
    this.y = y;
  }

  double x() {
    return x;
  }

  double y() {
    return y;
  }

  void move(double right, double down) {
    x += right;
    y += down;
  }

  int left() {
    return (int) Math.round(x) - REACH;
  }

  int top() {
    return (int) Math.round(y) - REACH;
  }

  /** Something done with pixels. */
  @FunctionalInterface
  interface Use {
    void of(int pixel, int x, int y);
  }

  /** Goes through its pixels that lie in a picture. */
  void each(int width, int height, Use use) {
    for (int py = Math.max(0, top()); py <= Math.min(height - 1, top() + 2 * REACH); py++) {
      for (int px = Math.max(0, left()); px <= Math.min(width - 1, left() + 2 * REACH); px++) {
        use.of(py * width + px, px, py);
      }
    }
  }

  /**
   * Learns the colours of a picture whose subject is known. What was known before is kept if the
   * new colours would take more of the picture for the subject: what crept in is not learned.
   *
   * @param depth how deep each pixel lies in the subject
   */
  void learn(ColourPicture picture, float[] depth) {
    Mixture newIn = colours(picture, depth, 1);
    Mixture newOut = colours(picture, depth, -1);
    boolean creeps = in != null && taken(picture, newIn, newOut) > taken(picture, in, out);
    if (!creeps) {
      in = newIn;
      out = newOut;
    }
    trust = trust(picture, depth);
  }

  private Mixture colours(ColourPicture picture, float[] depth, int side) {
    int[] found = new int[(2 * REACH + 1) * (2 * REACH + 1)];
    int[] count = new int[1];
    for (double apart = MIXED; count[0] < FEWEST && apart >= 0; apart -= MIXED) {
      double least = apart;
      count[0] = 0;
      each(
          picture.width(),
          picture.height(),
          (pixel, px, py) -> {
            if (side * depth[pixel] > least) {
              found[count[0]++] = pixel;
            }
          });
    }
    if (count[0] == 0) {
      return null;
    }
    return Mixture.of(picture, Arrays.copyOf(found, count[0]), PARTS);
  }

  private static double share(int colour, Mixture in, Mixture out) {
    double one = in == null ? 0 : in.of(colour);
    double other = out == null ? 0 : out.of(colour);
    return one + other < 1e-12 ? 0.5 : one / (one + other);
  }

  private int taken(ColourPicture picture, Mixture one, Mixture other) {
    int[] count = new int[1];
    each(
        picture.width(),
        picture.height(),
        (pixel, px, py) -> count[0] += share(picture.at(pixel), one, other) > 0.5 ? 1 : 0);
    return count[0];
  }

  /** How well its colours alone part the picture they were learned from, 0 to 1. */
  private double trust(ColourPicture picture, float[] depth) {
    double[] sums = new double[2];
    each(
        picture.width(),
        picture.height(),
        (pixel, px, py) -> {
          double near = Math.exp(-depth[pixel] * depth[pixel] / (REACH * REACH));
          double truth = depth[pixel] > 0 ? 1 : 0;
          sums[0] += near * Math.abs(truth - share(picture.at(pixel), in, out));
          sums[1] += near;
        });
    return sums[1] == 0 ? 0 : 1 - sums[0] / sums[1];
  }

  /**
   * How likely a pixel is the subject's: by its colour near the edge, by the shape farther from it;
   * the less the colours tell, the nearer.
   *
   * @param depth how deep it lies in the shape that has come along
   */
  double likely(int colour, double depth) {
    // The less the colours part, the narrower the band in which they may say anything.
    double better = Math.max(0, trust - GOOD) / (1 - GOOD);
    double sigma = LEAST_SIGMA + (REACH - LEAST_SIGMA) * better * better;
    double shape = 1 - Math.exp(-depth * depth / (sigma * sigma));
    return shape * (depth > 0 ? 1 : 0) + (1 - shape) * share(colour, in, out);
  }
}
