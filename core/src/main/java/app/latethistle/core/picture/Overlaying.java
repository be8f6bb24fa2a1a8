package app.latethistle.core.picture;

import app.latethistle.core.look.LiePath;
import app.latethistle.core.look.Mixing;
import java.util.Arrays;

/**
 * Lays pictures over others: as large, standing and turned as their lie says, to fractions of a
 * pixel, with edges that have no steps. What is made smaller is scaled as {@link Scaler} does, so
 * that means are taken there; then it is turned and moved by the cubic of {@link Turning}. Keeps
 * its filters and working pictures; not for use by two threads at once.
 */
public final class Overlaying {
  /** Samples around what is turned that its filter reads. */
  private static final int MARGIN = 4;

  /** A turn of less than this moves no corner by a hundredth of a pixel at 4096 pixels. */
  private static final double LEVEL = 5e-6;

  private final int width;
  private final int height;
  private final Frame laid;
  private final byte[] cover;
  private final LightWrap light;
  private FrameScaler scaler;
  private Scaler alphaScaler;
  private Frame upright;
  private byte[] uprightAlpha;
  private Region scaledTo;
  private int left;
  private int top;
  private int right;
  private int bottom;

  /**
   * How it is laid.
   *
   * @param still whether it stays where it is: then it stands on whole pixels and keeps its edge
   * @param mixing with what lies under it
   * @param wrap how much of the light under it comes round its edge, 0 to 1
   */
  public record Manner(boolean still, Mixing mixing, double wrap) {}

  /**
   * @param width of the pictures that are laid over, even
   * @param height even
   */
  public Overlaying(int width, int height) {
    this.width = width;
    this.height = height;
    laid = new Frame(width, height);
    cover = new byte[width * height];
    light = new LightWrap(width, height);
  }

  /**
   * Lays a picture over another.
   *
   * @param over as large as covers the film's picture at a size of 1, or smaller where it brings no
   *     bars; over black, weighed by its own opacity
   */
  public void draw(Cutout over, LiePath.Moment lie, Manner manner, Frame target) {
    if (lie.opacity() <= 0) {
      return;
    }
    double turn = lie.turn();
    if (manner.still && Math.abs(turn) < LEVEL) {
      if (placed(over, lie, manner, target)) {
        return;
      }
    } else {
      turned(over, lie);
    }
    if (left >= right || top >= bottom) {
      return;
    }
    if (manner.wrap > 0 && !over.isWhole()) {
      light.draw(target, manner.wrap, laid, cover, left, top, right, bottom);
    }
    if (manner.mixing != Mixing.NORMAL) {
      MixedColours.draw(manner.mixing, target, laid, left, top, right, bottom);
    }
    blend(target, lie.opacity());
  }

  /** Scales to whole pixels and copies; answers whether all has been done by that. */
  private boolean placed(Cutout over, LiePath.Moment lie, Manner manner, Frame target) {
    int w = even(over.picture().width() * lie.size());
    int h = even(over.picture().height() * lie.size());
    scale(over, new Region(0, 0, over.picture().width(), over.picture().height()), w, h);
    int x = (int) Math.round((lie.x() * width - w / 2.0) / 2) * 2;
    int y = (int) Math.round((lie.y() * height - h / 2.0) / 2) * 2;
    boolean inside = x >= 0 && y >= 0 && x + w <= width && y + h <= height;
    if (inside && over.isWhole() && manner.mixing == Mixing.NORMAL) {
      Blend.paste(upright, target, x, y, lie.opacity());
      return true;
    }
    left = Math.max(0, x);
    top = Math.max(0, y);
    right = Math.min(width, x + w);
    bottom = Math.min(height, y + h);
    for (int plane = 0; plane < 3 && left < right; plane++) {
      int part = plane == 0 ? 1 : 2;
      for (int row = top / part; row < bottom / part; row++) {
        int from = upright.offset(plane) + (row - y / part) * (w / part) + (left - x) / part;
        int at = laid.offset(plane) + row * (width / part) + left / part;
        System.arraycopy(upright.data(), from, laid.data(), at, (right - left) / part);
      }
    }
    for (int row = top; row < bottom && left < right; row++) {
      int at = row * width;
      if (over.isWhole()) {
        Arrays.fill(cover, at + left, at + right, (byte) 255);
      } else {
        int from = (row - y) * w + left - x;
        System.arraycopy(uprightAlpha, from, cover, at + left, right - left);
      }
    }
    if (!over.isWhole()) {
      straighten();
    }
    return false;
  }

  /** Scales upright with a margin, then turns and moves it to where it lies. */
  private void turned(Cutout over, LiePath.Moment lie) {
    double size = lie.size();
    double halfWidth = over.picture().width() * size / 2;
    double halfHeight = over.picture().height() * size / 2;
    int w = even(2 * halfWidth + 2 * MARGIN);
    int h = even(2 * halfHeight + 2 * MARGIN);
    Region seen =
        new Region(
            over.picture().width() / 2.0 - w / size / 2,
            over.picture().height() / 2.0 - h / size / 2,
            w / size,
            h / size);
    scale(over, seen, w, h);
    double cos = Math.cos(lie.turn());
    double sin = Math.sin(lie.turn());
    double x = lie.x() * width;
    double y = lie.y() * height;
    double reachX = halfWidth * Math.abs(cos) + halfHeight * Math.abs(sin) + 1;
    double reachY = halfWidth * Math.abs(sin) + halfHeight * Math.abs(cos) + 1;
    left = Math.max(0, (int) Math.floor((x - reachX) / 2) * 2);
    top = Math.max(0, (int) Math.floor((y - reachY) / 2) * 2);
    right = Math.min(width, (int) Math.ceil((x + reachX) / 2) * 2);
    bottom = Math.min(height, (int) Math.ceil((y + reachY) / 2) * 2);
    for (int row = top; row < bottom; row++) {
      double v0 = (row + 0.5 - y) * sin;
      double v1 = (row + 0.5 - y) * cos;
      for (int column = left; column < right; column++) {
        double dx = column + 0.5 - x;
        double u = dx * cos + v0;
        double v = v1 - dx * sin;
        double in = edge(halfWidth - Math.abs(u)) * edge(halfHeight - Math.abs(v));
        int at = row * width + column;
        if (in <= 0) {
          cover[at] = 0;
          laid.data()[at] = 16;
          continue;
        }
        double across = u + w / 2.0 - 0.5;
        double down = v + h / 2.0 - 0.5;
        int value = Turning.sample(upright.data(), 0, w, h, across, down);
        int opaque = over.isWhole() ? 255 : Turning.sample(uprightAlpha, 0, w, h, across, down);
        laid.data()[at] = straight(value, opaque, 16);
        cover[at] = (byte) Math.round(opaque * in);
      }
    }
    chroma(over.isWhole(), x, y, cos, sin);
  }

  /** Chroma is sited at the left luma sample of each pair, between two rows. */
  private void chroma(boolean whole, double x, double y, double cos, double sin) {
    int w = upright.width();
    int h = upright.height();
    for (int row = top / 2; row < bottom / 2; row++) {
      double dy = 2 * row + 1 - y;
      for (int column = left / 2; column < right / 2; column++) {
        double dx = 2 * column + 0.5 - x;
        double across = dx * cos + dy * sin + w / 2.0 - 0.5;
        double down = dy * cos - dx * sin + h / 2.0 - 0.5;
        int opaque = whole ? 255 : Turning.sample(uprightAlpha, 0, w, h, across, down);
        for (int plane = 1; plane < 3; plane++) {
          int value =
              Turning.sample(
                  upright.data(),
                  upright.offset(plane),
                  w / 2,
                  h / 2,
                  across / 2,
                  (down - 0.5) / 2);
          int at = laid.offset(plane) + row * (width / 2) + column;
          laid.data()[at] = straight(value, opaque, 128);
        }
      }
    }
  }

  private static double edge(double depth) {
    return Math.max(0, Math.min(1, depth + 0.5));
  }

  private void scale(Cutout over, Region seen, int w, int h) {
    Region to = new Region(seen.x(), seen.y(), seen.width() / w, seen.height() / h);
    boolean same =
        upright != null && upright.width() == w && upright.height() == h && to.equals(scaledTo);
    if (!same) {
      scaledTo = to;
      upright = new Frame(w, h);
      uprightAlpha = over.isWhole() ? null : new byte[w * h];
      scaler = new FrameScaler(seen, over.picture().width(), over.picture().height(), w, h);
      alphaScaler =
          over.isWhole()
              ? null
              : new Scaler(seen, over.picture().width(), over.picture().height(), w, h, false);
    }
    scaler.draw(over.picture(), upright);
    if (!over.isWhole()) {
      alphaScaler.scale(over.opacity(), 0, uprightAlpha, 0, w);
    }
  }

  /** What was weighed by its opacity gets its own colour back; where there is none it stays. */
  private void straighten() {
    byte[] data = laid.data();
    for (int row = top; row < bottom; row++) {
      for (int at = row * width + left; at < row * width + right; at++) {
        data[at] = straight(data[at] & 0xff, cover[at] & 0xff, 16);
      }
    }
    for (int plane = 1; plane < 3; plane++) {
      for (int row = top / 2; row < bottom / 2; row++) {
        for (int column = left / 2; column < right / 2; column++) {
          int at = laid.offset(plane) + row * (width / 2) + column;
          data[at] = straight(data[at] & 0xff, meanCover(row, column), 128);
        }
      }
    }
  }

  private int meanCover(int row, int column) {
    return Frame.meanOfFour(cover, 2 * row * width + 2 * column, width);
  }

  private static byte straight(int value, int opaque, int zero) {
    if (opaque == 0 || opaque == 255) {
      return (byte) value;
    }
    int own = zero + Math.round((value - zero) * 255f / opaque);
    return (byte) Math.max(16, Math.min(zero == 16 ? 235 : 240, own));
  }

  private void blend(Frame target, double opacity) {
    int whole = (int) Math.round(256 * opacity);
    byte[] under = target.data();
    byte[] over = laid.data();
    for (int row = top; row < bottom; row++) {
      for (int at = row * width + left; at < row * width + right; at++) {
        under[at] = mixed(under[at] & 0xff, over[at] & 0xff, (cover[at] & 0xff) * whole);
      }
    }
    for (int plane = 1; plane < 3; plane++) {
      for (int row = top / 2; row < bottom / 2; row++) {
        for (int column = left / 2; column < right / 2; column++) {
          int at = laid.offset(plane) + row * (width / 2) + column;
          int weight = meanCover(row, column) * whole;
          under[at] = mixed(under[at] & 0xff, over[at] & 0xff, weight);
        }
      }
    }
  }

  /**
   * @param weight 0 to 255 times 256
   */
  private static byte mixed(int below, int over, int weight) {
    return (byte) (below + Math.floorDiv((over - below) * weight + 255 * 128, 255 * 256));
  }

  private static int even(double value) {
    return Math.max(2, (int) Math.round(value / 2) * 2);
  }
}
