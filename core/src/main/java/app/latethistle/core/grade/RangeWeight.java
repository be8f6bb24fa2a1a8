package app.latethistle.core.grade;

import app.latethistle.core.look.ColourRange;
import app.latethistle.core.look.Easing;

/**
 * How much of a colour is in a range, 0 to 1: the product of how much its hue, its chroma and its
 * lightness are.
 */
final class RangeWeight {
  /** Chroma under which a hue says nothing. */
  private static final double GREY = 0.01;

  private final ColourRange range;
  private final double softness;

  RangeWeight(ColourRange range) {
    this.range = range;
    softness = range.softness() / 100.0;
  }

  double of(Oklab colour) {
    double chroma = 1000 * colour.chroma();
    double lightness = 100 * colour.lightness();
    double weight =
        between(chroma, range.weakest(), range.strongest(), ColourRange.MOST_CHROMA, 60)
            * between(lightness, range.darkest(), range.lightest(), 100, 25);
    return weight == 0 || range.width() == 180 ? weight : weight * hue(colour);
  }

  private double hue(Oklab colour) {
    double degrees = Math.toDegrees(Math.atan2(colour.b(), colour.a()));
    double away = Math.abs(Math.IEEEremainder(degrees - range.hue(), 360));
    double known = Math.min(1, colour.chroma() / GREY);
    return known * falling(away - range.width(), 45);
  }

  /** An end that lies at the end of all there is lets everything beyond in. */
  private double between(double value, double from, double to, double end, double soft) {
    double low = from <= 0 ? 1 : falling(from - value, soft);
    double high = to >= end ? 1 : falling(value - to, soft);
    return low * high;
  }

  /** 1 inside, 0 beyond as much as the softness says. */
  private double falling(double beyond, double soft) {
    double reach = softness * soft;
    if (beyond <= 0) {
      return 1;
    }
    if (beyond >= reach) {
      return 0;
    }
    return Easing.SLOW_BOTH.at(1 - beyond / reach);
  }
}
