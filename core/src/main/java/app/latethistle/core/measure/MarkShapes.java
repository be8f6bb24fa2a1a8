package app.latethistle.core.measure;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.List;

/** Gathers standing edges of a corner into shapes, near ones into one. */
final class MarkShapes {
  /** Edges up to so many pixels apart belong together. */
  private static final int NEAR = 3;

  /** Shapes up to so many pixels apart are one mark: the letters of a word, a word and its sign. */
  private static final int TOGETHER = 9;

  /** Fewer edges are chance: in a few takes some always lean the same way. */
  private static final int LEAST_PIXELS = 16;

  /** A mark has at least so many standing edge pixels in all. */
  private static final int LEAST_MARK = 80;

  private final boolean[] stands;
  private final int width;
  private final int height;

  MarkShapes(boolean[] stands, int width, int height) {
    this.stands = stands;
    this.width = width;
    this.height = height;
  }

  /** A shape: the box around its edges, in pixels of the corner, and those edges. */
  record Shape(int left, int top, int right, int bottom, List<Integer> pixels) {
    boolean isNear(Shape o) {
      return left - TOGETHER <= o.right
          && o.left - TOGETHER <= right
          && top - TOGETHER <= o.bottom
          && o.top - TOGETHER <= bottom;
    }

    Shape with(Shape o) {
      List<Integer> all = new ArrayList<>(pixels);
      all.addAll(o.pixels);
      return new Shape(
          Math.min(left, o.left),
          Math.min(top, o.top),
          Math.max(right, o.right),
          Math.max(bottom, o.bottom),
          all);
    }

    /**
     * A mark has edges of both directions: a horizon that stands while the camera pans has only
     * one. And its edges fill a fair part of its box.
     */
    boolean looksLikeAMark(float[] gx, float[] gy, int from, int width) {
      double across = 0;
      double along = 0;
      for (int pixel : pixels) {
        across += Math.abs(gx[from + pixel]);
        along += Math.abs(gy[from + pixel]);
      }
      double balance = Math.min(across, along) / Math.max(1e-9, Math.max(across, along));
      double box = (double) (right - left) * (bottom - top);
      return balance > 0.2 && pixels.size() / box > 0.12 && right - left < 0.95 * width;
    }
  }

  /** The shapes of a sensible size. */
  List<Shape> find() {
    boolean[] seen = new boolean[stands.length];
    List<Shape> shapes = new ArrayList<>();
    for (int i = 0; i < stands.length; i++) {
      if (stands[i] && !seen[i]) {
        Shape shape = grow(i, seen);
        if (shape.pixels().size() >= LEAST_PIXELS) {
          join(shapes, shape);
        }
      }
    }
    shapes.removeIf(
        shape ->
            shape.pixels().size() < LEAST_MARK
                || shape.right() - shape.left() < 14
                || shape.bottom() - shape.top() < 6);
    return shapes;
  }

  /** Adds a shape, together with all that are near it. */
  private static void join(List<Shape> shapes, Shape shape) {
    Shape joined = shape;
    int i = 0;
    while (i < shapes.size()) {
      if (joined.isNear(shapes.get(i))) {
        joined = joined.with(shapes.remove(i));
        i = 0;
      } else {
        i++;
      }
    }
    shapes.add(joined);
  }

  private Shape grow(int start, boolean[] seen) {
    ArrayDeque<Integer> open = new ArrayDeque<>();
    List<Integer> pixels = new ArrayList<>();
    open.add(start);
    seen[start] = true;
    int left = width;
    int right = 0;
    int top = height;
    int bottom = 0;
    while (!open.isEmpty()) {
      int at = open.remove();
      pixels.add(at);
      int x = at % width;
      int y = at / width;
      left = Math.min(left, x);
      right = Math.max(right, x + 1);
      top = Math.min(top, y);
      bottom = Math.max(bottom, y + 1);
      for (int ny = Math.max(0, y - NEAR); ny <= Math.min(height - 1, y + NEAR); ny++) {
        for (int nx = Math.max(0, x - NEAR); nx <= Math.min(width - 1, x + NEAR); nx++) {
          int next = ny * width + nx;
          if (stands[next] && !seen[next]) {
            seen[next] = true;
            open.add(next);
          }
        }
      }
    }
    return new Shape(left, top, right, bottom, pixels);
  }
}
