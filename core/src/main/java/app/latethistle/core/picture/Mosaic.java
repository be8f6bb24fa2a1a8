package app.latethistle.core.picture;

import java.util.Arrays;

/** Squares, each the mean of what lies in it, from the top left corner on. */
final class Mosaic implements TreatmentPainter {

  @Override
  public void draw(Frame from, Frame into, Setting setting) {
    int side = Math.max(2, (int) Math.round(setting.pixels(0, from) / 2) * 2);
    for (int plane = 0; plane < 3; plane++) {
      draw(from, into, plane, plane == 0 ? side : side / 2);
    }
  }

  private static void draw(Frame from, Frame into, int plane, int side) {
    int part = plane == 0 ? 1 : 2;
    int w = from.width() / part;
    int h = from.height() / part;
    int offset = from.offset(plane);
    for (int top = 0; top < h; top += side) {
      int low = Math.min(h, top + side);
      for (int left = 0; left < w; left += side) {
        int right = Math.min(w, left + side);
        long sum = 0;
        for (int y = top; y < low; y++) {
          for (int x = left; x < right; x++) {
            sum += from.data()[offset + y * w + x] & 0xff;
          }
        }
        int count = (low - top) * (right - left);
        byte mean = (byte) ((sum + count / 2) / count);
        for (int y = top; y < low; y++) {
          Arrays.fill(into.data(), offset + y * w + left, offset + y * w + right, mean);
        }
      }
    }
  }
}
