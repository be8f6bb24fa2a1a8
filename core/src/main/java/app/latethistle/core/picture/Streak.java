package app.latethistle.core.picture;

import java.util.Arrays;

/**
 * Blurs along a direction: the mean of the picture at even steps of half a sample along a line.
 * Places between samples are read bilinearly; edges are repeated.
 */
final class Streak implements TreatmentPainter {
  /** So many steps at most; a longer line has wider ones. */
  private static final int STEPS = 96;

  private static final int BITS = 8;

  @Override
  public void draw(Frame from, Frame into, Setting setting) {
    double length = setting.pixels(0, from);
    double angle = Math.toRadians(setting.value(1));
    for (int plane = 0; plane < 3; plane++) {
      int part = plane == 0 ? 1 : 2;
      double along = length / part;
      int steps = (int) Math.max(1, Math.min(STEPS, Math.ceil(along) + 1));
      if (steps == 1) {
        Softening.copy(from, into, plane);
      } else {
        draw(from, into, plane, along * Math.cos(angle), along * Math.sin(angle), steps);
      }
    }
  }

  private static void draw(
      Frame from, Frame into, int plane, double across, double down, int steps) {
    int part = plane == 0 ? 1 : 2;
    int w = from.width() / part;
    int h = from.height() / part;
    int[] sums = new int[w];
    int offset = from.offset(plane);
    for (int y = 0; y < h; y++) {
      Arrays.fill(sums, 0);
      for (int s = 0; s < steps; s++) {
        double at = s / (steps - 1.0) - 0.5;
        add(from.data(), offset, w, h, at * across, y + at * down, sums);
      }
      int round = steps << (BITS - 1);
      for (int x = 0; x < w; x++) {
        into.data()[offset + y * w + x] = (byte) ((sums[x] + round) / (steps << BITS));
      }
    }
  }

  /** Adds a row that lies between samples: its four neighbours, each by its share. */
  private static void add(
      byte[] data, int offset, int w, int h, double right, double y, int[] sums) {
    int column = (int) Math.floor(right);
    int row = (int) Math.floor(y);
    int u = (int) Math.round((right - column) * 16);
    int v = (int) Math.round((y - row) * 16);
    int top = offset + Math.max(0, Math.min(h - 1, row)) * w;
    int low = offset + Math.max(0, Math.min(h - 1, row + 1)) * w;
    int a = (16 - u) * (16 - v);
    int b = u * (16 - v);
    int c = (16 - u) * v;
    int d = u * v;
    int first = Math.max(0, Math.min(w, -column));
    int last = Math.max(first, Math.min(w, w - 1 - column));
    for (int x = first; x < last; x++) {
      int at = x + column;
      sums[x] +=
          a * (data[top + at] & 0xff)
              + b * (data[top + at + 1] & 0xff)
              + c * (data[low + at] & 0xff)
              + d * (data[low + at + 1] & 0xff);
    }
    for (int x = 0; x < first; x++) {
      sums[x] += (a + b) * (data[top] & 0xff) + (c + d) * (data[low] & 0xff);
    }
    for (int x = last; x < w; x++) {
      sums[x] += (a + b) * (data[top + w - 1] & 0xff) + (c + d) * (data[low + w - 1] & 0xff);
    }
  }
}
