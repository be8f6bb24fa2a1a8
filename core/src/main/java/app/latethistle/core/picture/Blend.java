package app.latethistle.core.picture;

/** Mixes frames, sample by sample, in their own coding. */
public final class Blend {
  private static final int BITS = 8;

  private Blend() {}

  /**
   * Mixes two frames of one size.
   *
   * @param share of the second, 0 to 1
   */
  public static void mix(Frame first, Frame second, double share, Frame into) {
    mix(first.data(), 0, second.data(), 0, weight(share), into.data(), 0, into.data().length);
  }

  /**
   * Lays a frame over a part of another.
   *
   * @param x its left side in the target, even
   * @param y its top, even
   * @param opacity 0 to 1
   */
  public static void paste(Frame frame, Frame target, int x, int y, double opacity) {
    if (opacity >= 1) {
      target.paste(frame, x, y);
      return;
    }
    int weight = weight(opacity);
    byte[] under = target.data();
    for (int plane = 0; plane < 3; plane++) {
      int part = plane == 0 ? 1 : 2;
      int w = frame.width() / part;
      for (int row = 0; row < frame.height() / part; row++) {
        int at = target.offset(plane) + (y / part + row) * (target.width() / part) + x / part;
        mix(under, at, frame.data(), frame.offset(plane) + row * w, weight, under, at, w);
      }
    }
  }

  private static int weight(double share) {
    return (int) Math.round(share * (1 << BITS));
  }

  private static void mix(
      byte[] a, int fromA, byte[] b, int fromB, int weight, byte[] into, int at, int count) {
    int rest = (1 << BITS) - weight;
    for (int i = 0; i < count; i++) {
      int sum = (a[fromA + i] & 0xff) * rest + (b[fromB + i] & 0xff) * weight;
      into[at + i] = (byte) ((sum + (1 << (BITS - 1))) >> BITS);
    }
  }
}
