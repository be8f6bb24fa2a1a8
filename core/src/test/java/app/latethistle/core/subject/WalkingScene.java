package app.latethistle.core.subject;

import app.latethistle.core.look.Mask.Spot;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.repair.Clip;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;

/**
 * A painted figure that walks, swings its arms and comes nearer or goes away, before a background
 * over which the camera pans. Its colours, its cloth, its way and the grain follow from a seed; no
 * care is taken that it stands out.
 */
final class WalkingScene implements Clip {
  static final int WIDE = 480;
  static final int HIGH = 270;

  private final long seed;
  private final int frames;
  private final int[] wall;
  private final int[] cloth;
  private final double startX;
  private final double walk;
  private final double pan;
  private final double nearer;
  private final double size;
  private final double grain;
  private final Map<Integer, Frame> painted = new HashMap<>();

  WalkingScene(long seed, int frames) {
    this.seed = seed;
    this.frames = frames;
    SplittableRandom chance = new SplittableRandom(seed);
    wall = new int[] {colour(chance), colour(chance), colour(chance)};
    cloth = new int[] {colour(chance), colour(chance), colour(chance)};
    startX = 150 + 180 * chance.nextDouble();
    walk = 2.4 * chance.nextDouble() - 1.2;
    pan = 2 * chance.nextDouble() - 1;
    nearer = 0.004 * chance.nextDouble() - 0.002;
    size = 0.75 + 0.4 * chance.nextDouble();
    grain = 1 + 4 * chance.nextDouble();
  }

  private static int colour(SplittableRandom chance) {
    int rgb = 0;
    for (int i = 0; i < 3; i++) {
      rgb = rgb << 8 | (30 + chance.nextInt(190));
    }
    return rgb;
  }

  @Override
  public int width() {
    return WIDE;
  }

  @Override
  public int height() {
    return HIGH;
  }

  @Override
  public void each(Taker taker) throws IOException {
    for (int i = 0; i < frames; i++) {
      taker.take(i, frame(i));
    }
  }

  /** A picture of it, painted once. */
  Frame frame(int number) {
    return painted.computeIfAbsent(number, this::paint);
  }

  private Frame paint(int number) {
    Frame frame = new Frame(WIDE, HIGH);
    SplittableRandom noise = new SplittableRandom(seed * 1000 + number);
    List<Limb> figure = figure(number);
    double[] planes = new double[3 * WIDE * HIGH];
    for (int y = 0; y < HIGH; y++) {
      for (int x = 0; x < WIDE; x++) {
        int back = background(x + pan * number, y);
        double in = opacity(figure, x + 0.5, y + 0.5);
        int front = in > 0 ? figure(figure, x + 0.5, y + 0.5) : 0;
        for (int plane = 0; plane < 3; plane++) {
          double value = bt709(back, plane) * (1 - in) + bt709(front, plane) * in;
          planes[plane * WIDE * HIGH + y * WIDE + x] =
              value + (plane == 0 ? grain : grain / 3) * noise.nextGaussian();
        }
      }
    }
    for (int y = 0; y < HIGH; y++) {
      for (int x = 0; x < WIDE; x++) {
        frame.data()[y * WIDE + x] = code(planes[y * WIDE + x]);
      }
    }
    for (int plane = 1; plane < 3; plane++) {
      for (int y = 0; y < HIGH / 2; y++) {
        for (int x = 0; x < WIDE / 2; x++) {
          int at = plane * WIDE * HIGH + 2 * y * WIDE + 2 * x;
          double mean =
              (planes[at] + planes[at + 1] + planes[at + WIDE] + planes[at + WIDE + 1]) / 4;
          frame.data()[frame.offset(plane) + y * WIDE / 2 + x] = code(mean);
        }
      }
    }
    return frame;
  }

  /** Luma or a colour difference of a colour, in 8-bit codes of the narrow range (BT.709). */
  private static double bt709(int rgb, int plane) {
    double red = (rgb >> 16 & 0xff) / 255.0;
    double green = (rgb >> 8 & 0xff) / 255.0;
    double blue = (rgb & 0xff) / 255.0;
    double luma = 0.2126 * red + 0.7152 * green + 0.0722 * blue;
    return switch (plane) {
      case 0 -> 16 + 219 * luma;
      case 1 -> 128 + 224 * (blue - luma) / 1.8556;
      default -> 128 + 224 * (red - luma) / 1.5748;
    };
  }

  private static byte code(double value) {
    return (byte) Math.round(Math.max(16, Math.min(240, value)));
  }

  /** How opaque the figure is at the middle of each pixel, row by row, 0 to 1. */
  double[] truth(int number) {
    List<Limb> figure = figure(number);
    double[] truth = new double[WIDE * HIGH];
    for (int i = 0; i < truth.length; i++) {
      truth[i] = opacity(figure, i % WIDE + 0.5, i / WIDE + 0.5);
    }
    return truth;
  }

  /** A box about it, some pixels wide of it. */
  Stroke box(int number) {
    double[] truth = truth(number);
    int left = WIDE;
    int right = 0;
    int top = HIGH;
    int bottom = 0;
    for (int i = 0; i < truth.length; i++) {
      if (truth[i] > 0.5) {
        left = Math.min(left, i % WIDE);
        right = Math.max(right, i % WIDE);
        top = Math.min(top, i / WIDE);
        bottom = Math.max(bottom, i / WIDE);
      }
    }
    return Stroke.around(spot(left - 8, top - 8), spot(right + 8, bottom + 8));
  }

  /** As a person marks it roughly: a box about it and a stroke through each part of it. */
  List<Stroke> roughly(int number) {
    List<Stroke> strokes = new ArrayList<>(List.of(box(number)));
    for (Limb limb : figure(number)) {
      strokes.add(Stroke.in(spot(limb.x0, limb.y0), spot(limb.x1, limb.y1)));
    }
    return strokes;
  }

  private static Spot spot(double x, double y) {
    return new Spot(
        (int) Math.round(1000 * Math.max(0, Math.min(WIDE, x)) / WIDE),
        (int) Math.round(1000 * Math.max(0, Math.min(HIGH, y)) / HIGH));
  }

  /** A rounded part of the figure; how wide it is at either end. */
  private record Limb(
      double x0, double y0, double x1, double y1, double from, double to, int colour) {
    /** How deep a place lies in it, in pixels. */
    double depth(double x, double y) {
      double dx = x1 - x0;
      double dy = y1 - y0;
      double length = dx * dx + dy * dy;
      double on = ((x - x0) * dx + (y - y0) * dy) / Math.max(1e-6, length);
      double along = Math.max(0, Math.min(1, on));
      double far = Math.hypot(x - x0 - along * dx, y - y0 - along * dy);
      return from + (to - from) * along - far;
    }
  }

  private List<Limb> figure(int number) {
    double s = size * Math.exp(nearer * number);
    double x = startX + walk * number;
    double hip = 165 + 4 * Math.sin(number / 3.0);
    double swing = Math.sin(number / 6.0 + seed);
    double shoulder = hip - 70 * s;
    List<Limb> limbs = new ArrayList<>();
    for (int side = -1; side <= 1; side += 2) {
      limbs.add(
          new Limb(
              x + 9 * s * side,
              hip,
              x + (12 * side + 22 * swing * side) * s,
              hip + 78 * s,
              13 * s,
              8 * s,
              cloth[1]));
      limbs.add(
          new Limb(
              x + 20 * s * side,
              shoulder + 6 * s,
              x + (26 * side - 18 * swing * side) * s,
              hip - 4 * s,
              8 * s,
              6 * s,
              cloth[0]));
    }
    limbs.add(new Limb(x, shoulder + 8 * s, x, hip - 6 * s, 22 * s, 18 * s, cloth[0]));
    limbs.add(new Limb(x, shoulder - 24 * s, x + 2, shoulder - 18 * s, 15 * s, 14 * s, cloth[2]));
    return limbs;
  }

  private static double opacity(List<Limb> figure, double x, double y) {
    double most = -1;
    for (Limb limb : figure) {
      most = Math.max(most, limb.depth(x, y));
    }
    return Math.max(0, Math.min(1, most + 0.5));
  }

  /** The colour of the limb that lies uppermost there, shaded to its edge and woven. */
  private int figure(List<Limb> figure, double x, double y) {
    Limb top = figure.get(0);
    for (Limb limb : figure) {
      if (limb.depth(x, y) > -0.5) {
        top = limb;
      }
    }
    double depth = top.depth(x, y);
    double light = 0.82 + 0.25 * Math.min(1, depth / 12) + 0.06 * Math.sin((y - top.y0) / 2);
    return lit(top.colour, light);
  }

  private int background(double x, double y) {
    double ground = 190 + 8 * Math.sin(x / 60);
    int base = y > ground ? wall[1] : wall[0];
    double light = 0.85 + 0.3 * smooth(x / 50, y / 40) + 0.15 * smooth(x / 9, y / 9);
    double post = Math.floorMod((long) Math.floor(x + 13 * seed), 110L);
    if (post < 16 && y > 60 && y < 215) {
      return lit(wall[2], 0.8 + post / 60);
    }
    return lit(base, light);
  }

  private static int lit(int colour, double light) {
    int lit = 0;
    for (int shift = 16; shift >= 0; shift -= 8) {
      int value = (int) Math.round((colour >> shift & 0xff) * light);
      lit = lit << 8 | Math.max(0, Math.min(255, value));
    }
    return lit;
  }

  private double smooth(double x, double y) {
    long left = (long) Math.floor(x);
    long top = (long) Math.floor(y);
    double across = x - left;
    double down = y - top;
    across = across * across * (3 - 2 * across);
    down = down * down * (3 - 2 * down);
    double upper = value(left, top) * (1 - across) + value(left + 1, top) * across;
    double lower = value(left, top + 1) * (1 - across) + value(left + 1, top + 1) * across;
    return upper * (1 - down) + lower * down;
  }

  /** -1 to 1 for a place of a grid. */
  private double value(long x, long y) {
    long mixed = seed * 7_919 + x * 104_729 + y * 1_299_709;
    mixed = (mixed ^ (mixed >>> 30)) * 0xbf58476d1ce4e5b9L;
    mixed = (mixed ^ (mixed >>> 27)) * 0x94d049bb133111ebL;
    return (mixed >>> 11) * 0x1.0p-52 - 1;
  }
}
