package app.latethistle.core.repair;

import app.latethistle.core.picture.Frame;

/** A part of a picture as three planes of its own size: luma, Cb, Cr in codes. Mutable. */
final class Crop {
  final int width;
  final int height;
  final float[][] planes;

  Crop(int width, int height) {
    this.width = width;
    this.height = height;
    planes = new float[3][width * height];
  }

  /** A part of a frame; chroma is as coarse as it is there. */
  static Crop of(Frame frame, Hole part) {
    Crop crop = new Crop(part.width(), part.height());
    byte[] data = frame.data();
    for (int plane = 0; plane < 3; plane++) {
      int fine = plane == 0 ? 1 : 2;
      int stride = frame.width() / fine;
      int base = frame.offset(plane);
      for (int y = 0; y < part.height(); y++) {
        int row = base + (part.y() + y) / fine * stride;
        for (int x = 0; x < part.width(); x++) {
          crop.planes[plane][y * part.width() + x] = data[row + (part.x() + x) / fine] & 0xff;
        }
      }
    }
    return crop;
  }

  Crop copy() {
    Crop crop = new Crop(width, height);
    for (int plane = 0; plane < 3; plane++) {
      System.arraycopy(planes[plane], 0, crop.planes[plane], 0, planes[plane].length);
    }
    return crop;
  }

  /** Lays a rectangle of it into a frame, in which it begins at a place. */
  void write(Frame frame, Hole inside, int frameX, int frameY) {
    byte[] data = frame.data();
    for (int y = 0; y < inside.height(); y++) {
      for (int x = 0; x < inside.width(); x++) {
        float luma = planes[0][(inside.y() + y) * width + inside.x() + x];
        data[(frameY + inside.y() + y) * frame.width() + frameX + inside.x() + x] =
            code(luma, 16, 235);
      }
    }
    for (int plane = 1; plane < 3; plane++) {
      for (int y = 0; y < inside.height(); y += 2) {
        for (int x = 0; x < inside.width(); x += 2) {
          int at = (inside.y() + y) * width + inside.x() + x;
          float[] from = planes[plane];
          float mean = (from[at] + from[at + 1] + from[at + width] + from[at + width + 1]) / 4;
          int row = (frameY + inside.y() + y) / 2 * (frame.width() / 2);
          data[frame.offset(plane) + row + (frameX + inside.x() + x) / 2] = code(mean, 16, 240);
        }
      }
    }
  }

  private static byte code(float value, int least, int most) {
    return (byte) Math.max(least, Math.min(most, Math.round(value)));
  }

  /** Whether a place lies between its pixels, so that it can be sampled. */
  boolean has(double x, double y) {
    return x >= 0 && y >= 0 && x <= width - 1 && y <= height - 1;
  }

  /** What is at a place between pixels, bilinear. */
  float sample(int plane, double x, double y) {
    int left = Math.min((int) x, width - 2);
    int top = Math.min((int) y, height - 2);
    float across = (float) (x - left);
    float down = (float) (y - top);
    float[] of = planes[plane];
    int at = top * width + left;
    float above = of[at] + across * (of[at + 1] - of[at]);
    float below = of[at + width] + across * (of[at + width + 1] - of[at + width]);
    return above + down * (below - above);
  }
}
