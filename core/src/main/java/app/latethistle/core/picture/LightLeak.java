package app.latethistle.core.picture;

import java.util.List;

/**
 * Coloured light from an edge, slowly moving. It is worked out on a coarse net and laid between its
 * points evenly, for it has no detail.
 */
final class LightLeak implements TreatmentPainter {
  private static final int NET = 16;

  /** Where light comes in: from beyond the left, the right and the top, in heights. */
  private record Source(double x, double y, double size, int line) {}

  @Override
  public void draw(Frame from, Frame into, Setting setting) {
    into.copy(from);
    double at = setting.seconds() * setting.perSecond(2);
    double wide = (double) from.width() / from.height();
    long seed = setting.seed();
    List<Source> sources =
        List.of(
            new Source(-0.15, 0.5 + 0.5 * Noise.course(at, 1, seed), 0.75, 1),
            new Source(wide + 0.2, 0.4 + 0.5 * Noise.course(at, 2, seed), 0.6, 2),
            new Source(wide * (0.5 + 0.5 * Noise.course(at, 3, seed)), -0.3, 0.5, 3));
    int columns = from.width() / NET + 2;
    int rows = from.height() / NET + 2;
    float[] net = new float[columns * rows];
    for (Source source : sources) {
      double strength =
          setting.share(0) * (0.65 + 0.35 * Noise.course(2 * at, 10 + source.line, seed));
      for (int r = 0; r < rows; r++) {
        for (int c = 0; c < columns; c++) {
          double dx = (double) c * NET / from.height() - source.x;
          double dy = (double) r * NET / from.height() - source.y;
          double far = (dx * dx + dy * dy) / (source.size * source.size);
          net[r * columns + c] += (float) (strength * Math.exp(-far * 2));
        }
      }
    }
    byte[] colour = Hue.yuv(setting.value(1), 0.78, 0.5);
    for (int plane = 0; plane < 3; plane++) {
      lay(into, plane, net, columns, colour[plane] & 0xff);
    }
  }

  private static void lay(Frame into, int plane, float[] net, int columns, int colour) {
    int part = plane == 0 ? 1 : 2;
    int step = NET / part;
    int w = into.width() / part;
    int h = into.height() / part;
    byte[] data = into.data();
    for (int y = 0; y < h; y++) {
      int row = y / step * columns;
      float v = y % step / (float) step;
      int at = into.offset(plane) + y * w;
      for (int x = 0; x < w; x++) {
        int c = row + x / step;
        float u = x % step / (float) step;
        float top = net[c] + u * (net[c + 1] - net[c]);
        float low = net[c + columns] + u * (net[c + columns + 1] - net[c + columns]);
        float light = Math.min(1, top + v * (low - top));
        int value = data[at + x] & 0xff;
        // Light adds: luma is screened with the colour's, chroma goes the same way.
        float to = plane == 0 ? value + (Frame.WHITE - value) * (colour - 16) / 219f : colour;
        data[at + x] = Softening.code(value + light * (to - value));
      }
    }
  }
}
