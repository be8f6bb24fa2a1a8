package app.latethistle.core.picture;

import java.util.Arrays;

/**
 * A Gaussian blur of a plane: three extended boxes one after the other (Gwosdek, Grewenig, Bruhn
 * and Weickert 2011, "Theoretical Foundations of Gaussian Convolution by Extended Box Filtering"),
 * whose cost does not grow with the size. A box reaches {@code r} samples to either side and has a
 * share of the next one, so that its variance is a third of what is wanted, exactly. Edges are
 * repeated.
 */
public final class Blurring {
  private static final int PASSES = 3;

  /** Less cannot be seen. */
  private static final double LEAST = 0.05;

  private final int width;
  private final int height;
  private final float[] plane;
  private final float[] other;
  private final float[] sums;

  /** For planes of one size. */
  public Blurring(int width, int height) {
    this.width = width;
    this.height = height;
    plane = new float[width * height];
    other = new float[width * height];
    sums = new float[width];
  }

  /** How many samples away a blur is felt at most. */
  public static int reach(double sigma) {
    return sigma < LEAST ? 0 : PASSES * (Box.ofVariance(sigma * sigma / PASSES).r + 1);
  }

  /**
   * Blurs a plane of bytes into floats, valid until the next call.
   *
   * @param sigma standard deviation in samples, 0 or more
   */
  public float[] of(byte[] data, int offset, double sigma) {
    for (int i = 0; i < plane.length; i++) {
      plane[i] = data[offset + i] & 0xff;
    }
    return blurred(sigma);
  }

  /** Blurs values that are written into {@link #values()} before. */
  public float[] blurred(double sigma) {
    if (sigma < LEAST) {
      return plane;
    }
    Box box = Box.ofVariance(sigma * sigma / PASSES);
    for (int pass = 0; pass < PASSES; pass++) {
      across(plane, other, box);
      down(other, plane, box);
    }
    return plane;
  }

  /** Means over squares of {@code 2 r + 1} samples a side, of {@link #values()}, in place. */
  public float[] means(int r) {
    Box box = new Box(r, 0);
    across(plane, other, box);
    down(other, plane, box);
    return plane;
  }

  /** The working plane. */
  public float[] values() {
    return plane;
  }

  /**
   * A box.
   *
   * @param r samples that are in it whole, to either side
   * @param share of the next one on either side that is in it, 0 to 1
   */
  private record Box(int r, float share) {
    static Box ofVariance(double variance) {
      int r = (int) Math.floor((Math.sqrt(12 * variance + 1) - 1) / 2);
      double share =
          (2 * r + 1) * (variance - r * (r + 1) / 3.0) / (2 * ((r + 1.0) * (r + 1.0) - variance));
      return new Box(r, (float) share);
    }

    float weight() {
      return 1 / (2 * r + 1 + 2 * share);
    }
  }

  private void across(float[] from, float[] into, Box box) {
    int r = box.r;
    float weight = box.weight();
    float[] line = new float[width + 2 * r + 2];
    for (int y = 0; y < height; y++) {
      int row = y * width;
      Arrays.fill(line, 0, r + 1, from[row]);
      System.arraycopy(from, row, line, r + 1, width);
      Arrays.fill(line, r + 1 + width, line.length, from[row + width - 1]);
      double sum = 0;
      for (int i = 1; i <= 2 * r + 1; i++) {
        sum += line[i];
      }
      for (int x = 0; x < width; x++) {
        // line[x] and line[x + 2 r + 2] are the samples just outside.
        into[row + x] = ((float) sum + box.share * (line[x] + line[x + 2 * r + 2])) * weight;
        sum += line[x + 2 * r + 2] - line[x + 1];
      }
    }
  }

  private void down(float[] from, float[] into, Box box) {
    int r = box.r;
    float weight = box.weight();
    Arrays.fill(sums, 0);
    for (int i = -r; i <= r; i++) {
      add(from, row(i), 1);
    }
    for (int y = 0; y < height; y++) {
      int above = row(y - r - 1);
      int below = row(y + r + 1);
      int leaves = row(y - r);
      int at = y * width;
      for (int x = 0; x < width; x++) {
        into[at + x] = (sums[x] + box.share * (from[above + x] + from[below + x])) * weight;
      }
      for (int x = 0; x < width; x++) {
        sums[x] += from[below + x] - from[leaves + x];
      }
    }
  }

  private void add(float[] from, int row, float weight) {
    for (int x = 0; x < width; x++) {
      sums[x] += weight * from[row + x];
    }
  }

  private int row(int y) {
    return Math.max(0, Math.min(height - 1, y)) * width;
  }
}
