package app.latethistle.core.measure;

import app.latethistle.core.take.Box;
import java.util.ArrayList;
import java.util.List;

/**
 * The edges that stay where they are in the four corners of a take, from which marks burned into
 * its pictures are found: a mark's edges stand still while the picture moves behind them.
 *
 * <p>Kept is the mean slope of each corner pixel, right and down, over each second or so of the
 * take, and the mean of its size. An edge stands if all those slopes lean the same way and their
 * mean is hardly less than the mean size; where the picture moved, slopes cancel out.
 */
public final class CornerEdges {
  private static final double CORNER_WIDTH = 0.3;
  private static final double CORNER_HEIGHT = 0.22;

  /** The picture must move so far behind a mark, in widths, before a take alone tells it. */
  private static final double MOVES = 0.03;

  /** Takes that are compared must be so many. */
  private static final int ENOUGH = 3;

  /** Pictures whose slopes make one part. */
  private static final int PART = 6;

  /**
   * An edge that stands: its mean slope in codes, its share of the mean size, and the least and
   * most that any part may have of it. Chosen on textures that move and marks over them.
   */
  private static final double LEAST_SLOPE = 7;

  private static final double LEAST_SHARE = 0.62;
  private static final double LEAST_PART = 0.55;
  private static final double MOST_PART = 1.5;

  /** Pixels; a mark's edge, scaled and encoded, is about four wide. */
  private static final int BROAD = 3;

  private final int width;
  private final int height;
  private final int cornerWidth;
  private final int cornerHeight;
  private final List<Slopes> parts = new ArrayList<>();

  /** Sums of slopes of the corner pixels over some pictures. */
  private static final class Slopes {
    final float[] right;
    final float[] down;
    final float[] size;
    int count;

    Slopes(int pixels) {
      right = new float[pixels];
      down = new float[pixels];
      size = new float[pixels];
    }

    void add(Slopes other, int i, float scale) {
      right[i] += other.right[i] * scale;
      down[i] += other.down[i] * scale;
      size[i] += other.size[i] * scale;
    }
  }

  CornerEdges(int width, int height) {
    this.width = width;
    this.height = height;
    cornerWidth = (int) (width * CORNER_WIDTH);
    cornerHeight = (int) (height * CORNER_HEIGHT);
  }

  private int pixels() {
    return 4 * cornerWidth * cornerHeight;
  }

  void add(Gray g) {
    if (parts.isEmpty() || parts.get(parts.size() - 1).count == PART) {
      parts.add(new Slopes(pixels()));
    }
    Slopes part = parts.get(parts.size() - 1);
    part.count++;
    for (int corner = 0; corner < 4; corner++) {
      int x0 = corner % 2 == 0 ? 0 : width - cornerWidth;
      int y0 = corner < 2 ? 0 : height - cornerHeight;
      int at = corner * cornerWidth * cornerHeight;
      for (int y = 0; y < cornerHeight; y++) {
        int py = y0 + y;
        for (int x = 0; x < cornerWidth; x++, at++) {
          int px = x0 + x;
          if (px == 0 || py == 0 || px == width - 1 || py == height - 1) {
            continue;
          }
          int i = py * width + px;
          float gx = (g.data[i + 1] - g.data[i - 1]) / 2;
          float gy = (g.data[i + width] - g.data[i - width]) / 2;
          part.right[at] += gx;
          part.down[at] += gy;
          part.size[at] += (float) Math.hypot(gx, gy);
        }
      }
    }
  }

  /** The means over some parts, as one part. */
  private Slopes mean(List<Slopes> among) {
    Slopes mean = new Slopes(pixels());
    for (Slopes part : among) {
      for (int i = 0; i < mean.right.length; i++) {
        mean.add(part, i, 1f / part.count / among.size());
      }
    }
    mean.count = 1;
    return mean;
  }

  /**
   * The marks of one take.
   *
   * @param travel of its picture; where it hardly moved, a mark cannot be told from it
   */
  List<Box> marks(Travel travel) {
    double aspect = (double) height / width;
    return find(parts).stream()
        .filter(
            box -> {
              double x = (box.left() + box.right()) / 2 - 0.5;
              double y = ((box.top() + box.bottom()) / 2 - 0.5) * aspect;
              return travel.distanceAt(x, y) >= MOVES;
            })
        .toList();
  }

  /**
   * The marks that several takes of a service share: what stands in the same place in all of them.
   * Takes of another size are left out; with fewer than three of one size nothing is said.
   */
  public static List<Box> shared(List<CornerEdges> takes) {
    if (takes.isEmpty()) {
      return List.of();
    }
    CornerEdges first = takes.get(0);
    List<Slopes> same =
        takes.stream()
            .filter(t -> t.width == first.width && t.height == first.height && !t.parts.isEmpty())
            .map(t -> t.mean(t.parts))
            .toList();
    return same.size() < ENOUGH ? List.of() : first.find(same);
  }

  private List<Box> find(List<Slopes> among) {
    Slopes mean = mean(among);
    List<Box> boxes = new ArrayList<>();
    for (int corner = 0; corner < 4; corner++) {
      int from = corner * cornerWidth * cornerHeight;
      boolean[] stands = new boolean[cornerWidth * cornerHeight];
      for (int i = 0; i < stands.length; i++) {
        stands[i] = stands(mean, among, from + i);
      }
      dropBroad(stands, mean, from);
      MarkShapes shapes = new MarkShapes(stands, cornerWidth, cornerHeight);
      for (MarkShapes.Shape shape : shapes.find()) {
        boolean left = shape.left() <= 1;
        boolean right = shape.right() >= cornerWidth - 1;
        boolean top = shape.top() <= 1;
        boolean bottom = shape.bottom() >= cornerHeight - 1;
        boolean reachesIn = (corner % 2 == 0 ? right : left) || (corner < 2 ? bottom : top);
        // At the picture's very edge only what is wide, as words are, is taken for a mark.
        boolean atEdge = left || right || top || bottom;
        boolean wide = shape.right() - shape.left() > 2 * (shape.bottom() - shape.top());
        if (!reachesIn
            && (wide || !atEdge)
            && shape.looksLikeAMark(mean.right, mean.down, from, cornerWidth)) {
          double x0 = corner % 2 == 0 ? 0 : width - cornerWidth;
          double y0 = corner < 2 ? 0 : height - cornerHeight;
          boxes.add(
              new Box(
                  (x0 + shape.left()) / width,
                  (y0 + shape.top()) / height,
                  (x0 + shape.right()) / width,
                  (y0 + shape.bottom()) / height));
        }
      }
    }
    return boxes;
  }

  /**
   * A mark's edges are thin. A slope that goes on for {@link #BROAD} pixels both ways is that of
   * something soft which moved too little to cancel out; it is dropped with all it reaches.
   */
  private void dropBroad(boolean[] stands, Slopes mean, int from) {
    boolean[] was = stands.clone();
    for (int i = 0; i < was.length; i++) {
      if (was[i] && sameWay(was, mean, from, i, BROAD) && sameWay(was, mean, from, i, -BROAD)) {
        for (int step = -BROAD - 1; step <= BROAD + 1; step++) {
          int near = along(mean, from, i, step);
          if (near >= 0) {
            stands[near] = false;
          }
        }
      }
    }
  }

  private boolean sameWay(boolean[] stands, Slopes mean, int from, int i, int step) {
    int j = along(mean, from, i, step);
    if (j < 0 || !stands[j]) {
      return false;
    }
    double dot =
        mean.right[from + i] * mean.right[from + j] + mean.down[from + i] * mean.down[from + j];
    double sizes =
        Math.hypot(mean.right[from + i], mean.down[from + i])
            * Math.hypot(mean.right[from + j], mean.down[from + j]);
    return dot > 0.7 * sizes;
  }

  /** The pixel so many steps up the slope, or -1 outside the corner. */
  private int along(Slopes mean, int from, int i, int step) {
    double size = Math.hypot(mean.right[from + i], mean.down[from + i]);
    int x = (int) Math.round(i % cornerWidth + step * mean.right[from + i] / size);
    int y = (int) Math.round((double) (i / cornerWidth) + step * mean.down[from + i] / size);
    return x < 0 || y < 0 || x >= cornerWidth || y >= cornerHeight ? -1 : y * cornerWidth + x;
  }

  private static boolean stands(Slopes mean, List<Slopes> among, int i) {
    double slope = Math.hypot(mean.right[i], mean.down[i]);
    if (slope < LEAST_SLOPE || slope < LEAST_SHARE * mean.size[i]) {
      return false;
    }
    for (Slopes part : among) {
      double along =
          (part.right[i] * mean.right[i] + part.down[i] * mean.down[i]) / slope / part.count;
      if (along < LEAST_PART * slope || along > MOST_PART * slope) {
        return false;
      }
    }
    return true;
  }

  /**
   * As bytes, to be kept: width, height and whether there is anything, as 16-bit numbers, then 3
   * bytes a pixel.
   */
  public byte[] toBytes() {
    byte[] bytes = new byte[6 + 3 * pixels()];
    put(bytes, 0, width);
    put(bytes, 2, height);
    put(bytes, 4, parts.isEmpty() ? 0 : 1);
    Slopes whole = mean(parts);
    for (int i = 0; i < whole.right.length; i++) {
      bytes[6 + 3 * i] = code(whole.right[i] * 2);
      bytes[7 + 3 * i] = code(whole.down[i] * 2);
      bytes[8 + 3 * i] = code(whole.size[i] * 2);
    }
    return bytes;
  }

  /** Reads what {@link #toBytes} wrote; slopes are kept to half a code and up to 63. */
  public static CornerEdges ofBytes(byte[] bytes) {
    CornerEdges edges = new CornerEdges(get(bytes, 0), get(bytes, 2));
    if (get(bytes, 4) == 1) {
      Slopes whole = new Slopes(edges.pixels());
      whole.count = 1;
      for (int i = 0; i < whole.right.length; i++) {
        whole.right[i] = bytes[6 + 3 * i] / 2f;
        whole.down[i] = bytes[7 + 3 * i] / 2f;
        whole.size[i] = bytes[8 + 3 * i] / 2f;
      }
      edges.parts.add(whole);
    }
    return edges;
  }

  private static byte code(float value) {
    return (byte) Math.max(-127, Math.min(127, Math.round(value)));
  }

  private static void put(byte[] bytes, int at, int value) {
    bytes[at] = (byte) (value >> 8);
    bytes[at + 1] = (byte) value;
  }

  private static int get(byte[] bytes, int at) {
    return ((bytes[at] & 0xff) << 8) | (bytes[at + 1] & 0xff);
  }
}
