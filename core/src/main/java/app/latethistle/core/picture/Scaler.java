package app.latethistle.core.picture;

import java.util.Arrays;

/**
 * Scales a region of one plane to a rectangle of another, separably, in 14-bit fixed point, with
 * the windowed sinc of Lanczos (Duchon 1979, three lobes); when making smaller it is as wide as the
 * new samples are, so that each takes its share of all it covers. On rings that a picture can just
 * hold it is 10 dB nearer to the ideal than the cubic of Keys (1981), which is cheaper by a third.
 *
 * <p>Rows are scaled across once into lines kept in a ring of as many as the filter is high, then
 * down into the target, so every source row is touched once. Lines and sums are ints, although
 * shorts would do, because the compiler vectorises loops over one width only; the narrowing to
 * bytes is a loop of its own for the same reason. Across, where it cannot, two rows are scaled by
 * one multiplication: one in the low half of a long, one in the high half.
 */
final class Scaler {
  private static final int BITS = 14;
  private static final int LINE_BITS = 6;
  private static final int LOBES = 3;

  private final Axis across;
  private final Axis down;
  private final int[][] ring;
  private final int[] rowInRing;
  private final int[] sums;
  private final long[] padded;

  /**
   * @param from edges of the source region on each axis, in samples of the source plane
   * @param sourceWidth samples a source row
   * @param sourceHeight source rows
   * @param width samples a target row
   * @param height target rows
   * @param chromaSited whether columns are chroma sited at the left luma sample of each pair
   */
  Scaler(
      Region from, int sourceWidth, int sourceHeight, int width, int height, boolean chromaSited) {
    across = Axis.of(from.x(), from.width(), sourceWidth, width, chromaSited ? 0.25 : 0.5);
    down = Axis.of(from.y(), from.height(), sourceHeight, height, 0.5);
    // Rows come in pairs, so one more at either end of the filter may be in it.
    ring = new int[down.taps + 2][width];
    rowInRing = new int[ring.length];
    sums = new int[width];
    padded = new long[sourceWidth + 2 * across.taps];
  }

  /** Scales into a rectangle of the target plane. */
  void scale(byte[] source, int sourceOffset, byte[] target, int targetOffset, int targetStride) {
    Arrays.fill(rowInRing, -1);
    for (int y = 0; y < down.first.length; y++) {
      Arrays.fill(sums, 1 << (BITS + LINE_BITS - 1));
      // The number of taps is always even.
      for (int t = 0; t < down.taps; t += 2) {
        addTwo(source, sourceOffset, y, t);
      }
      store(target, targetOffset + y * targetStride);
    }
  }

  private void addTwo(byte[] source, int offset, int y, int t) {
    int[] a = line(source, offset, down.row(y, t));
    int[] b = line(source, offset, down.row(y, t + 1));
    int first = down.weight(y, t);
    int second = down.weight(y, t + 1);
    int[] into = sums;
    for (int x = 0; x < into.length; x++) {
      into[x] += a[x] * first + b[x] * second;
    }
  }

  /** Brings the sums down to 0 to 255, without branches, and stores them. */
  private void store(byte[] target, int at) {
    int[] from = sums;
    for (int x = 0; x < from.length; x++) {
      int value = from[x] >> (BITS + LINE_BITS);
      value &= ~(value >> 31);
      from[x] = value | ((255 - value) >> 31);
    }
    for (int x = 0; x < from.length; x++) {
      target[at + x] = (byte) from[x];
    }
  }

  private int[] line(byte[] source, int offset, int row) {
    int slot = row % ring.length;
    if (rowInRing[slot] != row) {
      int even = row & ~1;
      across(source, offset, even, Math.min(even + 1, down.size - 1));
    }
    return ring[slot];
  }

  /** Scales two rows across, into the slots of the first and of the one after it. */
  private void across(byte[] source, int offset, int upper, int lower) {
    int slot = upper % ring.length;
    rowInRing[slot] = upper;
    rowInRing[slot + 1] = upper + 1;
    int pad = across.taps;
    int size = across.size;
    int upperAt = offset + upper * size;
    int lowerAt = offset + lower * size;
    for (int x = 0; x < size; x++) {
      padded[pad + x] = (source[upperAt + x] & 0xff) | (source[lowerAt + x] & 0xffL) << 32;
    }
    Arrays.fill(padded, 0, pad, padded[pad]);
    Arrays.fill(padded, pad + size, padded.length, padded[pad + size - 1]);
    int[] into = ring[slot];
    int[] next = ring[slot + 1];
    int[] first = across.first;
    short[] weights = across.weights;
    long[] line = padded;
    int taps = across.taps;
    int half = 1 << (BITS - LINE_BITS - 1);
    for (int x = 0, w = 0; x < into.length; x++, w += taps) {
      int at = first[x] + pad;
      long sum;
      if (taps == 6) {
        // The usual case, enlarging, unrolled: a loop of six costs half as much as its body.
        sum =
            line[at] * weights[w]
                + line[at + 1] * weights[w + 1]
                + line[at + 2] * weights[w + 2]
                + line[at + 3] * weights[w + 3]
                + line[at + 4] * weights[w + 4]
                + line[at + 5] * weights[w + 5];
      } else {
        sum = 0;
        for (int t = 0; t < taps; t++) {
          sum += line[at + t] * weights[w + t];
        }
      }
      // The low half may be negative, and has then borrowed from the high half.
      int low = (int) sum;
      into[x] = (low + half) >> (BITS - LINE_BITS);
      next[x] = ((int) ((sum - low) >> 32) + half) >> (BITS - LINE_BITS);
    }
  }

  /** The kernel, at a distance in samples. */
  private static double lanczos(double distance) {
    double x = Math.PI * Math.abs(distance);
    if (x < 1e-9) {
      return 1;
    }
    return x < Math.PI * LOBES ? LOBES * Math.sin(x) * Math.sin(x / LOBES) / (x * x) : 0;
  }

  /** The filter of one direction: for each target sample its first source sample and weights. */
  private static final class Axis {
    final int size;
    final int taps;
    final int[] first;
    final short[] weights;

    private Axis(int size, int taps, int[] first, short[] weights) {
      this.size = size;
      this.taps = taps;
      this.first = first;
      this.weights = weights;
    }

    /**
     * @param siting where in its cell a sample lies: 0.5 for the middle
     */
    static Axis of(double from, double length, int size, int count, double siting) {
      double step = length / count;
      double widen = Math.max(1, step);
      int taps = (int) Math.ceil(LOBES * widen) * 2;
      int[] first = new int[count];
      short[] weights = new short[count * taps];
      for (int i = 0; i < count; i++) {
        double centre = from + (i + siting) * step - siting;
        int start = (int) Math.floor(centre) - taps / 2 + 1;
        double[] w = new double[taps];
        double sum = 0;
        for (int t = 0; t < taps; t++) {
          w[t] = lanczos((start + t - centre) / widen);
          sum += w[t];
        }
        int left = 1 << BITS;
        int largest = 0;
        for (int t = 0; t < taps; t++) {
          int value = (int) Math.round(w[t] / sum * (1 << BITS));
          weights[i * taps + t] = (short) value;
          left -= value;
          largest = w[t] > w[largest] ? t : largest;
        }
        weights[i * taps + largest] += (short) left;
        // Past the padding every sample is the edge's, so the start may be held there.
        first[i] = Math.max(-taps, Math.min(size, start));
      }
      return new Axis(size, taps, first, weights);
    }

    /** The source sample a tap of a target sample reads; past the edges, the edge's. */
    int row(int target, int tap) {
      return Math.max(0, Math.min(size - 1, first[target] + tap));
    }

    int weight(int target, int tap) {
      return weights[target * taps + tap];
    }
  }
}
