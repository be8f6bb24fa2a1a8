package app.latethistle.core.picture;

import java.util.Arrays;

/**
 * Draws a picture between two frames, with what moves where it would be.
 *
 * <p>For each block of the picture half-way, a motion is sought along which both frames agree: the
 * one that gives the least sum of absolute differences between the first frame half of the motion
 * back and the second half of it on. It is sought coarse to fine on luma a quarter, half and full
 * as large, among what blocks beside have found first, so that the field is smooth. For a picture
 * at another share each block takes the motion of what has moved there by then; each sample is
 * drawn along the motion mixed from the blocks around it. Where no motion makes the frames agree
 * (something is uncovered, a light goes on) they are mixed as they are.
 *
 * <p>The field of a pair of frames is kept, so that a shot slowed to a quarter seeks it once for
 * three pictures. Keeps its working memory, so make one for a shot; not for use by two threads at
 * once.
 */
public final class MotionBetween {
  private static final int BLOCK = 16;
  private static final int LEVELS = 3;

  /** How far is sought on the coarsest level, in its samples: 48 pixels of the frame. */
  private static final int REACH = 12;

  /** What a sample of motion apart from the neighbours' costs in mean difference, on any level. */
  private static final double SMOOTH = 0.12;

  /** Mean difference along the best motion over which the frames are mixed as they are. */
  private static final double DISAGREES = 28;

  /** Places and weights have so many bits after the point. */
  private static final int BITS = 8;

  private static final int ONE = 1 << BITS;
  private static final int HALF = 1 << (2 * BITS - 1);

  private final int width;
  private final int height;
  private final int across;
  private final int down;
  private final byte[][] first = new byte[LEVELS][];
  private final byte[][] second = new byte[LEVELS][];

  /** The motion half-way between a pair, and how far the frames disagree along it. */
  private final float[] dx;

  private final float[] dy;
  private final float[] trust;
  private long pair = -1;

  /** The same at the share that is drawn, and a row of it, mixed for the samples of a line. */
  private final float[][] shared;

  private final float[][] row;

  /**
   * @param width of the frames, even
   * @param height of the frames, even
   */
  public MotionBetween(int width, int height) {
    this.width = width;
    this.height = height;
    across = (width + BLOCK - 1) / BLOCK;
    down = (height + BLOCK - 1) / BLOCK;
    for (int l = 1; l < LEVELS; l++) {
      first[l] = new byte[(width >> l) * (height >> l)];
      second[l] = new byte[(width >> l) * (height >> l)];
    }
    dx = new float[across * down];
    dy = new float[across * down];
    trust = new float[across * down];
    shared = new float[3][across * down];
    row = new float[3][across];
  }

  /**
   * Draws the picture.
   *
   * @param number tells this pair of frames from others, 0 or more
   * @param share how far from the first frame to the second, over 0 and under 1
   */
  public void draw(long number, Frame before, Frame after, double share, Frame into) {
    if (number != pair) {
      seek(before, after);
      pair = number;
    }
    share(share);
    for (int plane = 0; plane < 3; plane++) {
      compose(before, after, plane, share, into);
    }
  }

  private void seek(Frame before, Frame after) {
    pyramid(before.data(), first);
    pyramid(after.data(), second);
    Arrays.fill(dx, 0);
    Arrays.fill(dy, 0);
    for (int level = LEVELS - 1; level >= 0; level--) {
      seek(level, level == LEVELS - 1 ? REACH : 1);
    }
  }

  /** The field at a share: what is at a block by then was elsewhere half-way. */
  private void share(double share) {
    float moved = (float) (0.5 - share);
    for (int by = 0; by < down; by++) {
      for (int bx = 0; bx < across; bx++) {
        int b = by * across + bx;
        float u = within(bx + moved * dx[b] / BLOCK, across);
        float v = within(by + moved * dy[b] / BLOCK, down);
        int left = (int) u;
        int upper = (int) v;
        int right = Math.min(across - 1, left + 1);
        int lower = Math.min(down - 1, upper + 1);
        shared[0][b] = mixed(dx, upper, lower, left, right, u - left, v - upper);
        shared[1][b] = mixed(dy, upper, lower, left, right, u - left, v - upper);
        shared[2][b] = mixed(trust, upper, lower, left, right, u - left, v - upper);
      }
    }
  }

  private static float within(float place, int size) {
    return Math.max(0, Math.min(size - 1f, place));
  }

  private void pyramid(byte[] luma, byte[][] levels) {
    levels[0] = luma;
    for (int l = 1; l < LEVELS; l++) {
      int w = width >> l;
      int h = height >> l;
      int from = width >> (l - 1);
      byte[] large = levels[l - 1];
      byte[] small = levels[l];
      for (int y = 0; y < h; y++) {
        for (int x = 0; x < w; x++) {
          int at = 2 * y * from + 2 * x;
          int sum = (large[at] & 0xff) + (large[at + 1] & 0xff);
          sum += (large[at + from] & 0xff) + (large[at + from + 1] & 0xff);
          small[y * w + x] = (byte) ((sum + 2) >> 2);
        }
      }
    }
  }

  /** Betters every block's motion on one level, by whole samples of it. */
  private void seek(int level, int reach) {
    float scale = 1 << level;
    for (int by = 0; by < down; by++) {
      for (int bx = 0; bx < across; bx++) {
        int b = by * across + bx;
        float baseX = dx[b] / scale;
        float baseY = dy[b] / scale;
        float besideX = bx > 0 ? dx[b - 1] / scale : baseX;
        float besideY = bx > 0 ? dy[b - 1] / scale : baseY;
        float overX = by > 0 ? dx[b - across] / scale : besideX;
        float overY = by > 0 ? dy[b - across] / scale : besideY;
        float meanX = (besideX + overX) / 2;
        float meanY = (besideY + overY) / 2;
        Best best = new Best(level, bx, by, meanX, meanY);
        best.round(baseX, baseY, reach);
        best.round(besideX, besideY, 1);
        best.round(overX, overY, 1);
        best.round(0, 0, 0);
        dx[b] = best.x * scale;
        dy[b] = best.y * scale;
        trust[b] = (float) best.difference;
      }
    }
  }

  /** The best motion of a block on a level so far. */
  private final class Best {
    private final int level;
    private final int left;
    private final int top;
    private final int side;
    private final float meanX;
    private final float meanY;
    private float x;
    private float y;
    private double cost = Double.MAX_VALUE;
    private double difference;

    Best(int level, int bx, int by, float meanX, float meanY) {
      this.level = level;
      // The block and half of its neighbours on each side.
      side = (2 * BLOCK) >> level;
      left = ((bx * BLOCK) >> level) - side / 4;
      top = ((by * BLOCK) >> level) - side / 4;
      this.meanX = meanX;
      this.meanY = meanY;
    }

    void round(float aroundX, float aroundY, int reach) {
      for (int j = -reach; j <= reach; j++) {
        for (int i = -reach; i <= reach; i++) {
          tryOut(aroundX + i, aroundY + j);
        }
      }
    }

    private void tryOut(float mx, float my) {
      double apart = SMOOTH * (Math.abs(mx - meanX) + Math.abs(my - meanY)) * (1 << level);
      if (apart >= cost) {
        return;
      }
      int backX = Math.round(mx / 2);
      int backY = Math.round(my / 2);
      int onX = Math.round(mx) - backX;
      int onY = Math.round(my) - backY;
      double found = difference(backX, backY, onX, onY);
      if (found + apart < cost) {
        cost = found + apart;
        difference = found;
        x = mx;
        y = my;
      }
    }

    /** Mean difference along a motion; every other row on the finest level is enough. */
    private double difference(int backX, int backY, int onX, int onY) {
      int w = width >> level;
      int h = height >> level;
      byte[] a = first[level];
      byte[] b = second[level];
      int step = level == 0 ? 2 : 1;
      long sum = 0;
      int count = 0;
      for (int j = 0; j < side; j += step) {
        int rowA = clamp(top + j - backY, h) * w;
        int rowB = clamp(top + j + onY, h) * w;
        for (int i = 0; i < side; i += step) {
          int va = a[rowA + clamp(left + i - backX, w)] & 0xff;
          int vb = b[rowB + clamp(left + i + onX, w)] & 0xff;
          sum += Math.abs(va - vb);
          count++;
        }
      }
      return (double) sum / count;
    }
  }

  private static int clamp(int value, int size) {
    return Math.max(0, Math.min(size - 1, value));
  }

  /**
   * Draws a plane, a row at a time: the field is mixed down for the row once, and across for each
   * sample. Samples are taken in 8-bit fixed point, which the compiler keeps in registers.
   */
  private void compose(Frame before, Frame after, int plane, double share, Frame into) {
    int part = plane == 0 ? 1 : 2;
    int w = width / part;
    int h = height / part;
    int offset = into.offset(plane);
    float block = (float) BLOCK / part;
    int second = (int) Math.round(share * ONE);
    int first = ONE - second;
    float back = (float) (share * ONE / part);
    float on = (float) ((1 - share) * ONE / part);
    byte[] a = before.data();
    byte[] b = after.data();
    byte[] target = into.data();
    for (int y = 0; y < h; y++) {
      mixRow(within((y + 0.5f) / block - 0.5f, down));
      for (int x = 0; x < w; x++) {
        float u = within((x + 0.5f) / block - 0.5f, across);
        int left = (int) u;
        int right = Math.min(across - 1, left + 1);
        float fx = u - left;
        float mx = row[0][left] + (row[0][right] - row[0][left]) * fx;
        float my = row[1][left] + (row[1][right] - row[1][left]) * fx;
        float doubt = Math.min(1, row[2][left] + (row[2][right] - row[2][left]) * fx);
        int moved =
            first
                    * sample(
                        a, offset, w, h, x * ONE - (int) (back * mx), y * ONE - (int) (back * my))
                + second
                    * sample(b, offset, w, h, x * ONE + (int) (on * mx), y * ONE + (int) (on * my));
        int i = offset + y * w + x;
        int plain = (first * (a[i] & 0xff) + second * (b[i] & 0xff)) * ONE;
        float still = doubt * doubt;
        target[i] = (byte) ((int) (moved + still * (plain - moved) + HALF) >> (2 * BITS));
      }
    }
  }

  private void mixRow(float v) {
    int upper = ((int) v) * across;
    int lower = Math.min(down - 1, (int) v + 1) * across;
    float fy = v - (int) v;
    for (int c = 0; c < across; c++) {
      row[0][c] = shared[0][upper + c] * (1 - fy) + shared[0][lower + c] * fy;
      row[1][c] = shared[1][upper + c] * (1 - fy) + shared[1][lower + c] * fy;
      row[2][c] = (shared[2][upper + c] * (1 - fy) + shared[2][lower + c] * fy) / (float) DISAGREES;
    }
  }

  private float mixed(
      float[] field, int upper, int lower, int left, int right, float fx, float fy) {
    float top = field[upper * across + left] * (1 - fx) + field[upper * across + right] * fx;
    float low = field[lower * across + left] * (1 - fx) + field[lower * across + right] * fx;
    return top * (1 - fy) + low * fy;
  }

  /**
   * A sample between four, times {@link #ONE}.
   *
   * @param x in parts of {@link #ONE}
   * @param y in parts of {@link #ONE}
   */
  private static int sample(byte[] data, int offset, int w, int h, int x, int y) {
    int cx = Math.max(0, Math.min((w - 1) * ONE, x));
    int cy = Math.max(0, Math.min((h - 1) * ONE, y));
    int left = cx >> BITS;
    int top = cy >> BITS;
    int fx = cx & (ONE - 1);
    int fy = cy & (ONE - 1);
    int upper = offset + top * w + left;
    int lower = top + 1 < h ? upper + w : upper;
    int next = left + 1 < w ? 1 : 0;
    int above = (data[upper] & 0xff) * (ONE - fx) + (data[upper + next] & 0xff) * fx;
    int below = (data[lower] & 0xff) * (ONE - fx) + (data[lower + next] & 0xff) * fx;
    return (above * (ONE - fy) + below * fy) >> BITS;
  }
}
