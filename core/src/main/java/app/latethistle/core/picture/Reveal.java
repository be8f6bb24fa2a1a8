package app.latethistle.core.picture;

/**
 * A picture that appears in another, each place in its turn: an edge of some softness goes over a
 * map of which place comes when.
 */
final class Reveal implements TransitionPainter {
  private static final int BITS = 8;
  private static final int FULL = 1 << BITS;

  private final RevealOrder order;
  private final double softness;
  private final double rest;
  private final short[] weights = new short[RevealOrder.LAST + 1];
  private double tabled = Double.NaN;

  /**
   * @param softness how broad the edge is, as a share of the way, 0 for a hard one
   * @param rest what of the way it waits before it begins and after it is over, in the same measure
   */
  Reveal(RevealOrder order, double softness, double rest) {
    this.order = order;
    this.softness = softness;
    this.rest = rest;
  }

  @Override
  public void draw(Frame one, Frame other, double share, Frame into) {
    if (share != tabled) {
      table(share);
      tabled = share;
    }
    byte[] a = one.data();
    byte[] b = other.data();
    byte[] c = into.data();
    short[] table = weights;
    for (int plane = 0; plane < 3; plane++) {
      char[] map = order.plane(plane);
      int at = one.offset(plane);
      for (int i = 0; i < map.length; i++, at++) {
        int w = table[map[i]];
        c[at] = (byte) (((a[at] & 0xff) * (FULL - w) + (b[at] & 0xff) * w + FULL / 2) >> BITS);
      }
    }
  }

  /** How much of the other is seen at each place in the order. */
  private void table(double share) {
    double edge = (1 + softness + 2 * rest) * share - rest;
    for (int i = 0; i < weights.length; i++) {
      double past = edge - (double) i / RevealOrder.LAST;
      double seen = softness > 0 ? Weighing.smooth(0, softness, past) : past > 0 ? 1 : 0;
      weights[i] = (short) Math.round(seen * FULL);
    }
  }
}
