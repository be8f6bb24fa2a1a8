package app.latethistle.core.repair;

import app.latethistle.core.picture.Frame;
import java.io.IOException;
import java.util.SplittableRandom;

/**
 * A painted scene that a camera pans over, with a mark in a corner or without. Skies with soft
 * light, a horizon, posts and roofs, grain: the things that generated clips have.
 */
final class PaintedScene implements Clip {
  static final int WIDE = 480;
  static final int HIGH = 270;

  private final long seed;
  private final int frames;
  private final double panX;
  private final double panY;
  private final Hole mark;
  private final double grain;

  /**
   * @param panX pixels the camera goes to the right with each frame
   * @param mark where a mark stands; null for none
   * @param grain of the pictures, in codes (standard deviation)
   */
  PaintedScene(long seed, int frames, double panX, double panY, Hole mark, double grain) {
    this.seed = seed;
    this.frames = frames;
    this.panX = panX;
    this.panY = panY;
    this.mark = mark;
    this.grain = grain;
  }

  PaintedScene without() {
    return new PaintedScene(seed, frames, panX, panY, null, grain);
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

  Frame frame(int number) {
    Frame frame = new Frame(WIDE, HIGH);
    SplittableRandom noise = new SplittableRandom(seed * 1000 + number);
    byte[] data = frame.data();
    for (int y = 0; y < HIGH; y++) {
      for (int x = 0; x < WIDE; x++) {
        double value = luma(x + panX * number, y + panY * number) + grain * noise.nextGaussian();
        if (mark != null && isLettered(x, y, mark)) {
          value = 0.25 * value + 0.75 * 225;
        }
        data[y * WIDE + x] = (byte) Math.round(Math.max(16, Math.min(235, value)));
      }
    }
    for (int plane = 1; plane < 3; plane++) {
      for (int y = 0; y < HIGH / 2; y++) {
        for (int x = 0; x < WIDE / 2; x++) {
          double value =
              128 + (plane == 1 ? 14 : -12) * Math.sin((x + panX * number / 2) / 60 + y / 40.0);
          data[frame.offset(plane) + y * WIDE / 2 + x] = (byte) Math.round(value);
        }
      }
    }
    return frame;
  }

  /** Bars, as a mark of letters has them. */
  static boolean isLettered(int x, int y, Hole mark) {
    int inX = x - mark.x() - 4;
    int inY = y - mark.y() - 4;
    boolean inside = inX >= 0 && inY >= 0 && inX < mark.width() - 8 && inY < mark.height() - 8;
    return inside && (inX / 5 % 2 == 0 || inY / 6 % 3 == 0);
  }

  private double luma(double x, double y) {
    double horizon = 150 + 12 * Math.sin(x / 90 + seed) + 5 * Math.sin(x / 23 + 2 * seed);
    double value;
    if (y < horizon) {
      value = 60 + 0.5 * y + 14 * fractal(x / 70, y / 40) + 30 * glow(x, y);
    } else {
      value = 120 - 0.3 * (y - horizon) + 16 * fractal(x / 30, y / 9);
    }
    double post = Math.floorMod((long) Math.floor(x + 17 * seed), 96L);
    if (post < 7 && y > horizon - 40 && y < horizon + 70) {
      value = 40 + 3 * post;
    }
    return value;
  }

  private double glow(double x, double y) {
    double far = Math.hypot(x - 300 - 40 * (seed % 5), y - 60);
    return Math.exp(-far * far / 5000);
  }

  /** Smooth noise of three octaves, about -1 to 1. */
  private double fractal(double x, double y) {
    return (smooth(x, y, 1) + 0.5 * smooth(2 * x, 2 * y, 2) + 0.25 * smooth(4 * x, 4 * y, 3))
        / 1.75;
  }

  private double smooth(double x, double y, int octave) {
    long left = (long) Math.floor(x);
    long top = (long) Math.floor(y);
    double across = ease(x - left);
    double down = ease(y - top);
    double above = mix(at(left, top, octave), at(left + 1, top, octave), across);
    double below = mix(at(left, top + 1, octave), at(left + 1, top + 1, octave), across);
    return mix(above, below, down);
  }

  private static double ease(double t) {
    return t * t * (3 - 2 * t);
  }

  private static double mix(double a, double b, double t) {
    return a + t * (b - a);
  }

  private double at(long x, long y, int octave) {
    long bits =
        x * 0x9E3779B97F4A7C15L
            ^ y * 0xC2B2AE3D27D4EB4FL
            ^ (seed * 31 + octave) * 0x165667B19E3779F9L;
    bits = (bits ^ bits >>> 31) * 0xBF58476D1CE4E5B9L;
    bits = (bits ^ bits >>> 29) * 0x94D049BB133111EBL;
    return ((bits ^ bits >>> 32) >>> 11) * 0x1p-52 - 1;
  }
}
