package app.latethistle.core.subject;

import java.util.Arrays;
import java.util.function.IntPredicate;

/** Which pixels of a small picture are the subject. */
public final class Silhouette {
  private final int width;
  private final int height;
  private final boolean[] in;

  private Silhouette(int width, int height) {
    this.width = width;
    this.height = height;
    in = new boolean[width * height];
  }

  /** Those of which something holds, counted row by row. */
  public static Silhouette of(int width, int height, IntPredicate isIn) {
    Silhouette silhouette = new Silhouette(width, height);
    for (int i = 0; i < silhouette.in.length; i++) {
      silhouette.in[i] = isIn.test(i);
    }
    return silhouette;
  }

  public int width() {
    return width;
  }

  public int height() {
    return height;
  }

  /** Whether a pixel is the subject. */
  public boolean has(int pixel) {
    return in[pixel];
  }

  /** The same of a place; what lies outside the picture goes on as at its rim. */
  boolean has(int x, int y) {
    int column = Math.max(0, Math.min(width - 1, x));
    int line = Math.max(0, Math.min(height - 1, y));
    return in[line * width + column];
  }

  /** How many pixels it has. */
  public int count() {
    int count = 0;
    for (boolean pixel : in) {
      count += pixel ? 1 : 0;
    }
    return count;
  }

  /** The pixels of it, or those that are not of it. */
  int[] pixels(boolean ofIt) {
    int[] pixels = new int[ofIt ? count() : in.length - count()];
    int n = 0;
    for (int i = 0; i < in.length; i++) {
      if (in[i] == ofIt) {
        pixels[n++] = i;
      }
    }
    return pixels;
  }

  /** Its pieces, connected by their sides, that have a pixel of which something holds. */
  Silhouette pieces(IntPredicate isWanted) {
    Silhouette kept = new Silhouette(width, height);
    IntRing next = new IntRing(in.length);
    for (int i = 0; i < in.length; i++) {
      if (in[i] && !kept.in[i] && isWanted.test(i)) {
        kept.in[i] = true;
        next.put(i);
      }
      while (!next.isEmpty()) {
        int from = next.take();
        int x = from % width;
        kept.reach(x > 0 ? from - 1 : -1, this, next);
        kept.reach(x < width - 1 ? from + 1 : -1, this, next);
        kept.reach(from - width, this, next);
        kept.reach(from + width < in.length ? from + width : -1, this, next);
      }
    }
    return kept;
  }

  private void reach(int pixel, Silhouette whole, IntRing next) {
    if (pixel >= 0 && whole.in[pixel] && !in[pixel]) {
      in[pixel] = true;
      next.put(pixel);
    }
  }

  /** What both have, as a share of what either has; 1 where neither has anything. */
  public double overlap(Silhouette other) {
    int both = 0;
    int either = 0;
    for (int i = 0; i < in.length; i++) {
      both += in[i] && other.in[i] ? 1 : 0;
      either += in[i] || other.in[i] ? 1 : 0;
    }
    return either == 0 ? 1 : (double) both / either;
  }

  /**
   * How deep each pixel lies in it, in pixels from the edge, negative outside; by the exact
   * distances of Felzenszwalb and Huttenlocher 2012, "Distance Transforms of Sampled Functions".
   */
  float[] depth() {
    float[] inside = far(false);
    float[] outside = far(true);
    for (int i = 0; i < inside.length; i++) {
      inside[i] = in[i] ? inside[i] - 0.5f : 0.5f - outside[i];
    }
    return inside;
  }

  /** How far the nearest pixel is that is of it, or is not; at most the sides together. */
  private float[] far(boolean ofIt) {
    float most = width + height;
    float[] squared = new float[in.length];
    for (int i = 0; i < in.length; i++) {
      squared[i] = in[i] == ofIt ? 0 : most * most;
    }
    Parabolas across = new Parabolas(Math.max(width, height));
    for (int x = 0; x < width; x++) {
      across.least(squared, x, width, height);
    }
    for (int y = 0; y < height; y++) {
      across.least(squared, y * width, 1, width);
    }
    for (int i = 0; i < squared.length; i++) {
      squared[i] = (float) Math.sqrt(squared[i]);
    }
    return squared;
  }

  /** The lower envelope of parabolas along a line. */
  private static final class Parabolas {
    private final int[] at;
    private final double[] from;
    private final float[] line;

    Parabolas(int longest) {
      at = new int[longest];
      from = new double[longest + 1];
      line = new float[longest];
    }

    void least(float[] values, int first, int step, int count) {
      for (int i = 0; i < count; i++) {
        line[i] = values[first + i * step];
      }
      int k = 0;
      at[0] = 0;
      from[0] = Double.NEGATIVE_INFINITY;
      from[1] = Double.POSITIVE_INFINITY;
      for (int q = 1; q < count; q++) {
        double meets = meet(q, at[k]);
        while (meets <= from[k]) {
          k--;
          meets = meet(q, at[k]);
        }
        k++;
        at[k] = q;
        from[k] = meets;
        from[k + 1] = Double.POSITIVE_INFINITY;
      }
      k = 0;
      for (int q = 0; q < count; q++) {
        while (from[k + 1] < q) {
          k++;
        }
        float d = q - at[k];
        values[first + q * step] = d * d + line[at[k]];
      }
    }

    private double meet(int q, int v) {
      double one = line[q] + (double) q * q;
      double other = line[v] + (double) v * v;
      return (one - other) / (2.0 * q - 2.0 * v);
    }
  }

  @Override
  public boolean equals(Object o) {
    return o instanceof Silhouette other
        && width == other.width
        && height == other.height
        && Arrays.equals(in, other.in);
  }

  @Override
  public int hashCode() {
    return Arrays.hashCode(in) * 31 + width;
  }
}
