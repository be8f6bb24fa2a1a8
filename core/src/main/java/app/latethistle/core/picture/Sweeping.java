package app.latethistle.core.picture;

import app.latethistle.core.look.TransitionKind;
import java.util.Arrays;

/**
 * Both pictures drawn out by a movement that is quickest half-way, where one is exchanged for the
 * other: into and out of the picture, about its middle, or along a direction.
 *
 * <p>A picture that moves while the shutter is open is the mean of the pictures on its way. Those
 * are taken in two passes, a coarse one and one between its steps, so that twelve and twelve do
 * what 144 would; where it is drawn out far, at half the size, which nobody sees then.
 */
final class Sweeping implements TransitionPainter {
  private static final int TAPS = 12;
  private static final int FIXED = 20;

  /** Pixels over which a corner is drawn out from where on half the size is enough. */
  private static final double FAR = 24;

  /** How large the picture is half-way when it is zoomed into. */
  private static final double ZOOM = 3;

  /** How far it turns, in radians, and how far it is drawn out, as a share of its width. */
  private static final double TURN = Math.toRadians(70);

  private static final double DRAWN = 0.5;

  /** The shutter, as a share of the way of the whole transition. */
  private static final double SHUTTER = 0.18;

  /** How much of the way, about the middle, the exchange takes. */
  private static final double EXCHANGE = 0.2;

  private final Path path;
  private final Frame first;
  private final Frame second;
  private final Frame coarse;
  private final Half half;

  /** Where a picture is after some of its way. */
  private interface Path {
    /**
     * @param way -1 to 1, 0 at rest
     */
    Placed at(double way);
  }

  /** A picture about its middle: enlarged, turned by an angle, moved by shares of its width. */
  private record Placed(double size, double turn, double x, double y) {}

  private Sweeping(Path path, int width, int height) {
    this.path = path;
    first = new Frame(width, height);
    second = new Frame(width, height);
    coarse = new Frame(width, height);
    half = new Half(width, height);
  }

  /** The same at half the size. */
  private static final class Half {
    final Frame source;
    final Frame coarse;
    final Frame swept;
    final FrameScaler smaller;
    final FrameScaler larger;

    Half(int width, int height) {
      int w = Math.max(2, width / 4 * 2);
      int h = Math.max(2, height / 4 * 2);
      source = new Frame(w, h);
      coarse = new Frame(w, h);
      swept = new Frame(w, h);
      smaller = new FrameScaler(new Region(0, 0, width, height), width, height, w, h);
      larger = new FrameScaler(new Region(0, 0, w, h), w, h, width, height);
    }
  }

  static Sweeping of(TransitionKind kind, int angle, int width, int height) {
    double aspect = (double) width / height;
    double across = Math.cos(Math.toRadians(angle));
    double down = Math.sin(Math.toRadians(angle));
    Path path =
        switch (kind) {
          case ZOOM -> way -> new Placed(1 + (ZOOM - 1) * Math.abs(way), 0, 0, 0);
          case SPIN ->
              way -> {
                double turn = TURN * way;
                return new Placed(covering(Math.abs(turn), aspect), turn, 0, 0);
              };
          default -> way -> new Placed(1, 0, DRAWN * across * way, DRAWN * down * way);
        };
    return new Sweeping(path, width, height);
  }

  /** How much larger a picture has to be to cover itself when turned. */
  private static double covering(double turn, double aspect) {
    double wide = Math.max(aspect, 1 / aspect);
    return Math.abs(Math.cos(turn)) + Math.abs(Math.sin(turn)) * wide;
  }

  @Override
  public void draw(Frame one, Frame other, double share, Frame into) {
    double exchanged = Weighing.smooth(0.5 - EXCHANGE / 2, 0.5 + EXCHANGE / 2, share);
    boolean going = exchanged < 1;
    boolean coming = exchanged > 0;
    if (going) {
      sweep(one, way(share), way(Math.max(0, share - SHUTTER)), coming ? first : into);
    }
    if (coming) {
      double from = -way(1 - share);
      sweep(other, from, -way(Math.max(0, 1 - share - SHUTTER)), going ? second : into);
    }
    if (going && coming) {
      Blend.mix(first, second, exchanged, into);
    }
  }

  /** Slow at rest, quick half-way. */
  private static double way(double share) {
    double x = Math.min(1, 2 * share);
    return x * x * x;
  }

  private void sweep(Frame source, double from, double to, Frame into) {
    if (from == 0 && to == 0) {
      into.copy(source);
      return;
    }
    if (travel(path.at(from), path.at(to), source) > FAR) {
      half.smaller.draw(source, half.source);
      sweep(half.source, from, to, half.coarse, half.swept);
      half.larger.draw(half.swept, into);
    } else {
      sweep(source, from, to, coarse, into);
    }
  }

  /** How far a corner comes from one place to another, in pixels. */
  private static double travel(Placed a, Placed b, Frame frame) {
    double[] from = corner(a, frame);
    double[] to = corner(b, frame);
    return Math.hypot(to[0] - from[0], to[1] - from[1]);
  }

  private static double[] corner(Placed placed, Frame frame) {
    double x = frame.width() / 2.0;
    double y = frame.height() / 2.0;
    double cos = placed.size * Math.cos(placed.turn);
    double sin = placed.size * Math.sin(placed.turn);
    return new double[] {
      x * cos - y * sin + placed.x * frame.width(), x * sin + y * cos + placed.y * frame.width()
    };
  }

  private void sweep(Frame source, double from, double to, Frame between, Frame into) {
    mean(source, from, to, between);
    Placed begin = path.at(from);
    Placed end = path.at(from + (to - from) / TAPS);
    mean(
        between,
        new Placed(1, 0, 0, 0),
        new Placed(end.size / begin.size, end.turn - begin.turn, end.x - begin.x, end.y - begin.y),
        into);
  }

  private void mean(Frame source, double from, double to, Frame into) {
    Placed[] taps = new Placed[TAPS];
    for (int t = 0; t < TAPS; t++) {
      taps[t] = path.at(from + (to - from) * t / TAPS);
    }
    mean(source, taps, into);
  }

  private static void mean(Frame source, Placed from, Placed to, Frame into) {
    Placed[] taps = new Placed[TAPS];
    for (int t = 0; t < TAPS; t++) {
      double part = (double) t / TAPS;
      taps[t] =
          new Placed(
              from.size + (to.size - from.size) * part,
              from.turn + (to.turn - from.turn) * part,
              from.x + (to.x - from.x) * part,
              from.y + (to.y - from.y) * part);
    }
    mean(source, taps, into);
  }

  private static void mean(Frame source, Placed[] taps, Frame into) {
    for (int plane = 0; plane < 3; plane++) {
      int part = plane == 0 ? 1 : 2;
      int w = source.width() / part;
      int h = source.height() / part;
      int[] sums = new int[w];
      for (int row = 0; row < h; row++) {
        Arrays.fill(sums, TAPS / 2);
        for (Placed tap : taps) {
          line(source, plane, w, h, row, tap, sums);
        }
        int at = into.offset(plane) + row * w;
        for (int x = 0; x < w; x++) {
          into.data()[at + x] = (byte) (sums[x] / TAPS);
        }
      }
    }
  }

  /** Adds a row of a moved picture, by nearest samples; past its edges they are repeated. */
  private static void line(Frame source, int plane, int w, int h, int row, Placed tap, int[] sums) {
    double cos = Math.cos(tap.turn) / tap.size;
    double sin = Math.sin(tap.turn) / tap.size;
    double y = row + 0.5 - h / 2.0 - tap.y * w;
    double x = 0.5 - w / 2.0 - tap.x * w;
    long u = fixed(x * cos + y * sin + w / 2.0);
    long v = fixed(y * cos - x * sin + h / 2.0);
    long du = fixed(cos);
    long dv = fixed(-sin);
    byte[] data = source.data();
    int offset = source.offset(plane);
    for (int i = 0; i < w; i++) {
      int column = Math.max(0, Math.min(w - 1, (int) (u >> FIXED)));
      int line = Math.max(0, Math.min(h - 1, (int) (v >> FIXED)));
      sums[i] += data[offset + line * w + column] & 0xff;
      u += du;
      v += dv;
    }
  }

  private static long fixed(double value) {
    return Math.round(value * (1 << FIXED));
  }
}
