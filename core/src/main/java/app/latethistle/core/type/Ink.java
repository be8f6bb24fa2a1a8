package app.latethistle.core.type;

import app.latethistle.core.picture.Frame;
import java.awt.Rectangle;

/**
 * What is written, as it is laid over frames: luma and opacity of each pixel, colour of each 2x2
 * pixels weighed by their opacity, so that edges keep their colour.
 */
final class Ink {
  private final int left;
  private final int top;
  private final int width;
  private final int height;
  private final byte[] opacity;
  private final byte[] luma;
  private final byte[] thin;
  private final byte[] cb;
  private final byte[] cr;

  private Ink(int left, int top, int width, int height) {
    this.left = left;
    this.top = top;
    this.width = width;
    this.height = height;
    opacity = new byte[width * height];
    luma = new byte[width * height];
    thin = new byte[width * height / 4];
    cb = new byte[width * height / 4];
    cr = new byte[width * height / 4];
  }

  /**
   * Of pixels.
   *
   * @param argb alpha, red, green, blue of each, the colours weighed by alpha
   * @param across pixels of a row, even
   * @param part where there may be any
   */
  static Ink of(int[] argb, int across, Rectangle part) {
    int top = part.y;
    int bottom = part.y + part.height;
    while (top < bottom && isEmpty(argb, top * across + part.x, part.width)) {
      top++;
    }
    if (top == bottom) {
      return new Ink(0, 0, 0, 0);
    }
    while (isEmpty(argb, (bottom - 1) * across + part.x, part.width)) {
      bottom--;
    }
    int left = part.x + part.width;
    int right = part.x;
    for (int y = top; y < bottom; y++) {
      int row = y * across;
      for (int x = part.x; x < left; x++) {
        if (argb[row + x] >>> 24 != 0) {
          left = x;
        }
      }
      for (int x = part.x + part.width - 1; x >= right; x--) {
        if (argb[row + x] >>> 24 != 0) {
          right = x + 1;
        }
      }
    }
    Ink ink = new Ink(left & ~1, top & ~1, even(right) - (left & ~1), even(bottom) - (top & ~1));
    ink.fill(argb, across);
    return ink;
  }

  private static boolean isEmpty(int[] argb, int from, int count) {
    for (int i = from; i < from + count; i++) {
      if (argb[i] >>> 24 != 0) {
        return false;
      }
    }
    return true;
  }

  private static int even(int value) {
    return (value + 1) & ~1;
  }

  private void fill(int[] argb, int across) {
    for (int y = 0; y < height; y += 2) {
      for (int x = 0; x < width; x += 2) {
        int alpha = 0;
        int red = 0;
        int green = 0;
        int blue = 0;
        for (int k = 0; k < 4; k++) {
          int pixel = argb[(top + y + k / 2) * across + left + x + k % 2];
          int a = pixel >>> 24;
          if (a == 0) {
            continue;
          }
          int r = pixel >> 16 & 0xff;
          int g = pixel >> 8 & 0xff;
          int b = pixel & 0xff;
          int at = (y + k / 2) * width + x + k % 2;
          opacity[at] = (byte) a;
          // ITU-R BT.709, limited range, of the colour without its weight.
          double weight = 1.0 / a;
          luma[at] = (byte) ((int) (16.5 + (46.559 * r + 156.629 * g + 15.812 * b) * weight));
          alpha += a;
          red += r;
          green += g;
          blue += b;
        }
        if (alpha == 0) {
          continue;
        }
        int at = y / 2 * (width / 2) + x / 2;
        thin[at] = (byte) ((alpha + 2) / 4);
        double weight = 1.0 / alpha;
        double bright = 0.2126 * red + 0.7152 * green + 0.0722 * blue;
        cb[at] = (byte) Math.round(128 + 224 * (blue - bright) * weight / 1.8556);
        cr[at] = (byte) Math.round(128 + 224 * (red - bright) * weight / 1.5748);
      }
    }
  }

  /** Lays it over a frame. */
  void over(Frame frame) {
    byte[] data = frame.data();
    for (int y = 0; y < height; y++) {
      blend(data, (top + y) * frame.width() + left, luma, opacity, y * width, width);
    }
    for (int y = 0; y < height / 2; y++) {
      int to = (top / 2 + y) * (frame.width() / 2) + left / 2;
      int from = y * (width / 2);
      blend(data, frame.offset(1) + to, cb, thin, from, width / 2);
      blend(data, frame.offset(2) + to, cr, thin, from, width / 2);
    }
  }

  private static void blend(byte[] under, int to, byte[] over, byte[] opacity, int from, int n) {
    for (int i = 0; i < n; i++) {
      int a = opacity[from + i] & 0xff;
      if (a != 0) {
        int below = under[to + i] & 0xff;
        int above = over[from + i] & 0xff;
        under[to + i] = (byte) (below + Math.floorDiv((above - below) * a + 127, 255));
      }
    }
  }
}
