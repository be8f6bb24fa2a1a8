package app.latethistle.core.picture;

import java.util.Arrays;

/** Black above and below, or beside, so that what is left has another shape. Even lines. */
final class Bars implements TreatmentPainter {

  @Override
  public void draw(Frame from, Frame into, Setting setting) {
    into.copy(from);
    double aspect = setting.value(0) / 100;
    int w = from.width();
    int h = from.height();
    int high = Math.min(h, (int) Math.round(w / aspect / 2) * 2);
    int wide = Math.min(w, (int) Math.round(h * aspect / 2) * 2);
    int top = (h - high) / 4 * 2;
    int left = (w - wide) / 4 * 2;
    black(into, 0, 0, w, top);
    black(into, 0, h - top, w, top);
    black(into, 0, 0, left, h);
    black(into, w - left, 0, left, h);
  }

  private static void black(Frame into, int x, int y, int across, int down) {
    for (int plane = 0; plane < 3; plane++) {
      int part = plane == 0 ? 1 : 2;
      int w = into.width() / part;
      for (int row = y / part; row < (y + down) / part; row++) {
        int at = into.offset(plane) + row * w + x / part;
        Arrays.fill(into.data(), at, at + across / part, (byte) (plane == 0 ? 16 : 128));
      }
    }
  }
}
