package app.latethistle.core.subject;

import app.latethistle.core.look.Mask.Spot;
import java.util.List;

/** What the strokes on a picture say of each of its pixels. */
final class Said {
  static final byte NOTHING = 0;
  static final byte IN = 1;
  static final byte OUT = 2;

  /** A brush is so wide, in shares of the picture's height. Common practice, no source. */
  private static final double BRUSH = 0.025;

  private final int width;
  private final int height;
  private final byte[] pixels;
  private boolean boxed;

  private Said(int width, int height) {
    this.width = width;
    this.height = height;
    pixels = new byte[width * height];
  }

  /** Nothing is said. */
  static Said nothing(int width, int height) {
    return new Said(width, height);
  }

  static Said by(Guide guide, int width, int height) {
    Said said = new Said(width, height);
    for (Stroke stroke : guide.strokes()) {
      if (stroke.kind() == Stroke.Kind.AROUND) {
        said.box(stroke.points());
      } else {
        said.brush(stroke.points(), stroke.kind() == Stroke.Kind.IN ? IN : OUT);
      }
    }
    return said;
  }

  private void box(List<Spot> corners) {
    boxed = true;
    double left = Math.min(x(corners.get(0)), x(corners.get(1)));
    double right = Math.max(x(corners.get(0)), x(corners.get(1)));
    double top = Math.min(y(corners.get(0)), y(corners.get(1)));
    double bottom = Math.max(y(corners.get(0)), y(corners.get(1)));
    for (int i = 0; i < pixels.length; i++) {
      double x = i % width + 0.5;
      double y = i / width + 0.5;
      if (x < left || x > right || y < top || y > bottom) {
        pixels[i] = OUT;
      }
    }
  }

  private void brush(List<Spot> points, byte what) {
    double radius = Math.max(0.75, BRUSH * height / 2);
    Spot last = points.get(0);
    for (Spot point : points) {
      line(x(last), y(last), x(point), y(point), radius, what);
      last = point;
    }
  }

  private void line(double x0, double y0, double x1, double y1, double radius, byte what) {
    double dx = x1 - x0;
    double dy = y1 - y0;
    double length = dx * dx + dy * dy;
    int top = (int) Math.max(0, Math.min(y0, y1) - radius);
    int bottom = (int) Math.min(height - 1, Math.max(y0, y1) + radius);
    int left = (int) Math.max(0, Math.min(x0, x1) - radius);
    int right = (int) Math.min(width - 1, Math.max(x0, x1) + radius);
    for (int y = top; y <= bottom; y++) {
      for (int x = left; x <= right; x++) {
        double px = x + 0.5 - x0;
        double py = y + 0.5 - y0;
        double on = length == 0 ? 0 : Math.max(0, Math.min(1, (px * dx + py * dy) / length));
        if (Math.hypot(px - on * dx, py - on * dy) <= radius) {
          pixels[y * width + x] = what;
        }
      }
    }
  }

  private double x(Spot spot) {
    return spot.x() / 1000.0 * width;
  }

  private double y(Spot spot) {
    return spot.y() / 1000.0 * height;
  }

  /** What is said of a pixel, counted row by row. */
  byte of(int pixel) {
    return pixels[pixel];
  }

  /** Something said of each pixel. */
  @FunctionalInterface
  interface Of {
    byte pixel(int pixel);
  }

  /** The same, with something said where nothing was. */
  Said and(Of more) {
    Said both = new Said(width, height);
    both.boxed = boxed;
    for (int i = 0; i < pixels.length; i++) {
      both.pixels[i] = pixels[i] == NOTHING ? more.pixel(i) : pixels[i];
    }
    return both;
  }

  /** Which pixels lie at most so far from a stroke. */
  boolean[] near(double reach) {
    float[] depth = Silhouette.of(width, height, i -> pixels[i] != NOTHING).depth();
    boolean[] near = new boolean[depth.length];
    for (int i = 0; i < near.length; i++) {
      near[i] = depth[i] >= -reach;
    }
    return near;
  }

  /** Whether it is said of any pixel. */
  boolean has(byte what) {
    for (byte pixel : pixels) {
      if (pixel == what) {
        return true;
      }
    }
    return false;
  }

  /** Whether a box is said to hold all of the subject. */
  boolean isBoxed() {
    return boxed;
  }
}
