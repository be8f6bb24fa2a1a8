package app.latethistle.core.picture;

import app.latethistle.core.look.LumaPattern;
import app.latethistle.core.look.TransitionKind;
import app.latethistle.core.look.TransitionManner;

/** Which place of a picture comes when, as a map for its luma and one for its chroma planes. */
final class RevealOrder {
  /** What the last place to come has; the first has 0. */
  static final int LAST = 0xffff;

  /** Strips that open together. */
  private static final int BARS = 12;

  private static final int RINGS = 6;

  /** Diamonds across the picture. */
  private static final int DIAMONDS = 16;

  private final char[] luma;
  private final char[] chroma;

  /** Where in a picture a sample begins: 0 at its left or top edge, 1 at the other. */
  private interface Order {
    double at(double x, double y);
  }

  private RevealOrder(Order order, int width, int height) {
    luma = map(order, width, height);
    chroma = map(order, width / 2, height / 2);
  }

  private RevealOrder(char[] luma, char[] chroma) {
    this.luma = luma;
    this.chroma = chroma;
  }

  /** By the luma of a picture, from black to white. */
  static RevealOrder by(Frame still) {
    int width = still.width();
    int height = still.height();
    char[] luma = new char[width * height];
    for (int i = 0; i < luma.length; i++) {
      double white =
          ((still.data()[i] & 0xff) - Frame.BLACK) / (double) (Frame.WHITE - Frame.BLACK);
      luma[i] = (char) Math.round(Math.max(0, Math.min(1, white)) * LAST);
    }
    char[] chroma = new char[luma.length / 4];
    for (int i = 0; i < chroma.length; i++) {
      int at = 2 * (i / (width / 2)) * width + 2 * (i % (width / 2));
      int sum = luma[at] + luma[at + 1] + luma[at + width] + luma[at + width + 1];
      chroma[i] = (char) ((sum + 2) / 4);
    }
    return new RevealOrder(luma, chroma);
  }

  /** The map of a plane. */
  char[] plane(int plane) {
    return plane == 0 ? luma : chroma;
  }

  static RevealOrder of(TransitionKind kind, TransitionManner manner, int width, int height) {
    double aspect = (double) width / height;
    double along = Math.toRadians(manner.angle());
    double across = Math.cos(along);
    double down = Math.sin(along);
    double reach = (Math.abs(across) * aspect + Math.abs(down)) / 2;
    // How far along the direction a place lies, from 0 to 1 over the picture.
    Order way = (x, y) -> 0.5 + ((x - 0.5) * aspect * across + (y - 0.5) * down) / (2 * reach);
    return new RevealOrder(
        switch (kind) {
          case WIPE -> way;
          case BARS -> (x, y) -> fraction(way.at(x, y) * BARS);
          case DOORS -> (x, y) -> Math.abs(2 * way.at(x, y) - 1);
          case CIRCLE -> (x, y) -> Math.hypot((x - 0.5) * aspect, y - 0.5) / corner(aspect);
          default -> pattern(manner.pattern(), aspect);
        },
        width,
        height);
  }

  private static double corner(double aspect) {
    return Math.hypot(aspect, 1) / 2;
  }

  private static Order pattern(LumaPattern pattern, double aspect) {
    return switch (pattern) {
      case CLOUDS -> (x, y) -> Noise.cloud(x * aspect * 3, y * 3, 5);
      case PAPER -> (x, y) -> 0.7 * Noise.cloud(x * aspect * 40, y * 40, 2) + 0.3 * x;
      case BRUSH ->
          (x, y) -> {
            double stroke = Math.floor(y * 8);
            double ragged = 0.12 * Noise.cloud(x * aspect * 6, y * 90, 3);
            double turned = stroke % 2 == 0 ? x : 1 - x;
            return (stroke + turned * 0.9 + ragged) / 8.1;
          };
      case RINGS ->
          (x, y) -> {
            double far = Math.hypot((x - 0.5) * aspect, y - 0.5) / corner(aspect);
            return 0.5 * far + 0.5 * fraction(far * RINGS);
          };
      case LATTICE ->
          (x, y) -> {
            double u = Math.abs(fraction(x * DIAMONDS) - 0.5);
            double v = Math.abs(fraction(y * DIAMONDS / aspect) - 0.5);
            return 0.3 * x + 0.7 * (u + v);
          };
    };
  }

  private static double fraction(double value) {
    return value - Math.floor(value);
  }

  private static char[] map(Order order, int width, int height) {
    char[] map = new char[width * height];
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        double at = order.at((double) x / width, (double) y / height);
        map[y * width + x] = (char) Math.round(Math.max(0, Math.min(1, at)) * LAST);
      }
    }
    return map;
  }
}
