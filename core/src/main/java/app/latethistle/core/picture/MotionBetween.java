package app.latethistle.core.picture;

import java.util.Arrays;

/**
 * Draws a picture between two frames, with what moves where it would be.
 *
 * <p>For each block of the picture to be made, a motion is sought along which both frames agree:
 * the one that gives the least sum of absolute differences between the first frame a share of the
 * motion back and the second the rest of it on. It is sought coarse to fine on luma a quarter, half
 * and full as large, among what blocks beside have found first, so that the field is smooth; each
 * sample is then drawn along the motion mixed from the blocks around it. Where no motion makes the
 * frames agree (something is uncovered, a light goes on) they are mixed as they are.
 *
 * <p>Keeps its working memory, so make one for a shot; not for use by two threads at once.
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

  private final int width;
  private final int height;
  private final int across;
  private final int down;
  private final byte[][] first = new byte[LEVELS][];
  private final byte[][] second = new byte[LEVELS][];
  private final float[] dx;
  private final float[] dy;
  private final float[] trust;

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
  }

  /**
   * Draws the picture.
   *
   * @param share how far from the first frame to the second, over 0 and under 1
   */
  public void draw(Frame before, Frame after, double share, Frame into) {
    pyramid(before.data(), first);
    pyramid(after.data(), second);
    Arrays.fill(dx, 0);
    Arrays.fill(dy, 0);
    for (int level = LEVELS - 1; level >= 0; level--) {
      seek(level, share, level == LEVELS - 1 ? REACH : 1);
    }
    for (int plane = 0; plane < 3; plane++) {
      compose(before, after, plane, share, into);
    }
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
  private void seek(int level, double share, int reach) {
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
        Best best = new Best(level, share, bx, by, meanX, meanY);
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
    private final double share;
    private final int left;
    private final int top;
    private final int side;
    private final float meanX;
    private final float meanY;
    private float x;
    private float y;
    private double cost = Double.MAX_VALUE;
    private double difference;

    Best(int level, double share, int bx, int by, float meanX, float meanY) {
      this.level = level;
      this.share = share;
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
      int backX = (int) Math.round(mx * share);
      int backY = (int) Math.round(my * share);
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

  private void compose(Frame before, Frame after, int plane, double share, Frame into) {
    int part = plane == 0 ? 1 : 2;
    int w = width / part;
    int h = height / part;
    int offset = into.offset(plane);
    float block = (float) BLOCK / part;
    float s = (float) share;
    byte[] a = before.data();
    byte[] b = after.data();
    for (int y = 0; y < h; y++) {
      float v = Math.max(0, Math.min(down - 1f, (y + 0.5f) / block - 0.5f));
      int upper = (int) v;
      int lower = Math.min(down - 1, upper + 1);
      float fy = v - upper;
      for (int x = 0; x < w; x++) {
        float u = Math.max(0, Math.min(across - 1f, (x + 0.5f) / block - 0.5f));
        int left = (int) u;
        int right = Math.min(across - 1, left + 1);
        float fx = u - left;
        float mx = mixed(dx, upper, lower, left, right, fx, fy) / part;
        float my = mixed(dy, upper, lower, left, right, fx, fy) / part;
        float doubt =
            Math.min(1, mixed(trust, upper, lower, left, right, fx, fy) / (float) DISAGREES);
        float moved =
            (1 - s) * sample(a, offset, w, h, x - s * mx, y - s * my)
                + s * sample(b, offset, w, h, x + (1 - s) * mx, y + (1 - s) * my);
        int i = offset + y * w + x;
        float plain = (1 - s) * (a[i] & 0xff) + s * (b[i] & 0xff);
        float still = doubt * doubt;
        into.data()[i] = (byte) Math.round(still * plain + (1 - still) * moved);
      }
    }
  }

  private float mixed(
      float[] field, int upper, int lower, int left, int right, float fx, float fy) {
    float top = field[upper * across + left] * (1 - fx) + field[upper * across + right] * fx;
    float low = field[lower * across + left] * (1 - fx) + field[lower * across + right] * fx;
    return top * (1 - fy) + low * fy;
  }

  private static float sample(byte[] data, int offset, int w, int h, float x, float y) {
    float cx = Math.max(0, Math.min(w - 1f, x));
    float cy = Math.max(0, Math.min(h - 1f, y));
    int left = (int) cx;
    int top = (int) cy;
    int right = Math.min(w - 1, left + 1);
    int low = Math.min(h - 1, top + 1);
    float fx = cx - left;
    float fy = cy - top;
    float upper =
        (data[offset + top * w + left] & 0xff) * (1 - fx)
            + (data[offset + top * w + right] & 0xff) * fx;
    float lower =
        (data[offset + low * w + left] & 0xff) * (1 - fx)
            + (data[offset + low * w + right] & 0xff) * fx;
    return upper * (1 - fy) + lower * fy;
  }
}
