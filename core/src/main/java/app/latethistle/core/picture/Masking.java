package app.latethistle.core.picture;

import app.latethistle.core.look.Mask;
import java.util.Arrays;
import java.util.List;

/**
 * How opaque masks leave each pixel of a picture: along a soft edge it goes evenly from 0 to 1,
 * half of it on either side; a hard edge goes over one pixel, so that it has no steps.
 */
final class Masking {
  private Masking() {}

  /** The product of all masks, pixel by pixel, 0 to 255. */
  static byte[] of(List<Mask> masks, int width, int height) {
    double[] stays = new double[width * height];
    Arrays.fill(stays, 1);
    for (Mask mask : masks) {
      Inside inside = inside(mask, width, height);
      double edge = Math.max(1, mask.softness() / 1000.0 * height);
      for (int y = 0; y < height; y++) {
        for (int x = 0; x < width; x++) {
          double in = inside.depth(x + 0.5, y + 0.5) / edge + 0.5;
          double share = Math.max(0, Math.min(1, in));
          stays[y * width + x] *= mask.outside() ? 1 - share : share;
        }
      }
    }
    byte[] opacity = new byte[stays.length];
    for (int i = 0; i < opacity.length; i++) {
      opacity[i] = (byte) Math.round(255 * stays[i]);
    }
    return opacity;
  }

  /** How deep within something a place lies, in pixels; negative outside. */
  private interface Inside {
    double depth(double x, double y);
  }

  private static Inside inside(Mask mask, int width, int height) {
    double[] xs = mask.points().stream().mapToDouble(p -> p.x() / 1000.0 * width).toArray();
    double[] ys = mask.points().stream().mapToDouble(p -> p.y() / 1000.0 * height).toArray();
    if (mask.kind() == Mask.Kind.OUTLINE) {
      return (x, y) -> outline(xs, ys, x, y);
    }
    double middleX = (xs[0] + xs[1]) / 2;
    double middleY = (ys[0] + ys[1]) / 2;
    double across = Math.max(0.5, Math.abs(xs[1] - xs[0]) / 2);
    double down = Math.max(0.5, Math.abs(ys[1] - ys[0]) / 2);
    return mask.kind() == Mask.Kind.RECTANGLE
        ? (x, y) -> rectangle(Math.abs(x - middleX) - across, Math.abs(y - middleY) - down)
        : (x, y) -> ellipse(x - middleX, y - middleY, across, down);
  }

  /** The distance to a rectangle from how far outside its sides a place lies. */
  private static double rectangle(double right, double below) {
    double outside = Math.hypot(Math.max(0, right), Math.max(0, below));
    return -outside - Math.min(0, Math.max(right, below));
  }

  /** The distance to an ellipse, to first order: its value over the length of its gradient. */
  private static double ellipse(double x, double y, double across, double down) {
    double u = x / across;
    double v = y / down;
    double radius = Math.hypot(u, v);
    double slope = Math.hypot(u / across, v / down);
    return slope == 0 ? Math.min(across, down) : (1 - radius) * radius / slope;
  }

  private static double outline(double[] xs, double[] ys, double x, double y) {
    double near = Double.MAX_VALUE;
    boolean in = false;
    for (int i = 0, j = xs.length - 1; i < xs.length; j = i++) {
      double dx = xs[j] - xs[i];
      double dy = ys[j] - ys[i];
      double length = dx * dx + dy * dy;
      double on = length == 0 ? 0 : ((x - xs[i]) * dx + (y - ys[i]) * dy) / length;
      double along = Math.max(0, Math.min(1, on));
      near = Math.min(near, Math.hypot(x - xs[i] - along * dx, y - ys[i] - along * dy));
      boolean crosses = (ys[i] > y) != (ys[j] > y) && x < dx * (y - ys[i]) / dy + xs[i];
      in ^= crosses;
    }
    return in ? near : -near;
  }
}
