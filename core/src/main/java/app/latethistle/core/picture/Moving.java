package app.latethistle.core.picture;

import java.util.Arrays;

/**
 * A picture that comes in from a side or a corner, over another or pushing it out. It moves by
 * whole samples of each plane; where a push to a corner leaves nothing, the edge of what goes out
 * is repeated.
 */
final class Moving implements TransitionPainter {
  private final int across;
  private final int down;
  private final boolean pushes;

  /**
   * @param angle where it goes to, in degrees, one of eight
   * @param pushes whether the other one moves too
   */
  Moving(int angle, boolean pushes) {
    across = (int) Math.round(Math.cos(Math.toRadians(angle)) * Math.sqrt(1.5));
    down = (int) Math.round(Math.sin(Math.toRadians(angle)) * Math.sqrt(1.5));
    this.pushes = pushes;
  }

  @Override
  public void draw(Frame one, Frame other, double share, Frame into) {
    for (int plane = 0; plane < 3; plane++) {
      int part = plane == 0 ? 1 : 2;
      int w = one.width() / part;
      int h = one.height() / part;
      int comesX = -across * (int) ((1 - share) * w);
      int comesY = -down * (int) ((1 - share) * h);
      int goesX = pushes ? comesX + across * w : 0;
      int goesY = pushes ? comesY + down * h : 0;
      lay(one, into, plane, goesX, goesY, true);
      lay(other, into, plane, comesX, comesY, false);
    }
  }

  /** Lays a plane at a place; past its edges they are repeated, or nothing is laid. */
  private static void lay(Frame from, Frame into, int plane, int x, int y, boolean repeated) {
    int part = plane == 0 ? 1 : 2;
    int w = from.width() / part;
    int h = from.height() / part;
    int first = Math.max(0, Math.min(w, x));
    int last = Math.max(0, Math.min(w, x + w));
    byte[] source = from.data();
    byte[] target = into.data();
    for (int row = 0; row < h; row++) {
      int wanted = row - y;
      if (!repeated && (wanted < 0 || wanted >= h)) {
        continue;
      }
      int at = from.offset(plane) + Math.max(0, Math.min(h - 1, wanted)) * w;
      int to = into.offset(plane) + row * w;
      System.arraycopy(source, at + first - x, target, to + first, last - first);
      if (repeated) {
        Arrays.fill(target, to, to + first, source[at]);
        Arrays.fill(target, to + last, to + w, source[at + w - 1]);
      }
    }
  }
}
