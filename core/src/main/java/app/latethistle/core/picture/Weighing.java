package app.latethistle.core.picture;

import app.latethistle.core.look.Easing;

/**
 * Two pictures and a colour, each with a weight, added sample by sample about black: every kind of
 * transition in which light only grows or goes.
 */
final class Weighing implements TransitionPainter {
  /** Both at full light half-way: the one goes in the second half, the other comes in the first. */
  static final Weighing ADDITIVE =
      new Weighing(
          0, share -> new Weights(Math.min(1, 2 * (1 - share)), Math.min(1, 2 * share), 0));

  private static final int BITS = 12;
  private static final int[] ZERO = {16, 128, 128};
  private static final int[] MOST = {235, 240, 240};
  private static final int[] LEAST = {16, 16, 16};

  private final byte[] colour;
  private final Curve curve;

  private record Weights(double one, double other, double colour) {}

  private interface Curve {
    Weights at(double share);
  }

  private Weighing(int rgb, Curve curve) {
    colour = Rgb.toYuv(rgb);
    this.curve = curve;
  }

  /**
   * Into a colour and out of it. The curves are those of the transitions "fadeblack" and
   * "fadewhite" of ffmpeg's xfade filter (libavfilter/vf_xfade.c): the one is in the colour after a
   * fifth of the way, the other comes out of it more slowly.
   */
  static Weighing through(int rgb) {
    return new Weighing(
        rgb,
        share -> {
          double one = (1 - share) * smooth(0.8, 1, 1 - share);
          double other = share * (1 - smooth(0.2, 1, 1 - share));
          return new Weights(one, other, 1 - one - other);
        });
  }

  /** Light that rises over the one, hides the cut half-way, and falls over the other. */
  static Weighing flash(int rgb) {
    return new Weighing(
        rgb,
        share -> {
          double near = 1 - Math.abs(2 * share - 1);
          double light = near * near;
          return new Weights(share < 0.5 ? 1 - light : 0, share < 0.5 ? 0 : 1 - light, light);
        });
  }

  /** From 0 at one edge to 1 at the other, level at both. */
  static double smooth(double from, double to, double at) {
    return Easing.SLOW_BOTH.at((at - from) / (to - from));
  }

  @Override
  public void draw(Frame one, Frame other, double share, Frame into) {
    Weights weights = curve.at(share);
    for (int plane = 0; plane < 3; plane++) {
      int from = one.offset(plane);
      int to = plane == 2 ? one.data().length : one.offset(plane + 1);
      add(one.data(), other.data(), into.data(), from, to, plane, weights);
    }
  }

  private void add(byte[] a, byte[] b, byte[] into, int from, int to, int plane, Weights weights) {
    int zero = ZERO[plane];
    int wa = (int) Math.round(weights.one * (1 << BITS));
    int wb = (int) Math.round(weights.other * (1 << BITS));
    double light = weights.colour * ((colour[plane] & 0xff) - zero);
    int base =
        (int) Math.round((zero + light) * (1 << BITS)) - zero * (wa + wb) + (1 << (BITS - 1));
    int least = LEAST[plane];
    int most = MOST[plane];
    for (int i = from; i < to; i++) {
      int value = ((a[i] & 0xff) * wa + (b[i] & 0xff) * wb + base) >> BITS;
      into[i] = (byte) Math.max(least, Math.min(most, value));
    }
  }
}
