package app.latethistle.core.picture;

import java.util.Arrays;

/**
 * Lets the light of what lies under a picture, blurred, come round the edges of what lies over it,
 * the more the nearer the edge. Common practice, no source.
 */
final class LightWrap {
  /** Over what part of the picture's height it comes in; one standard deviation. */
  private static final double REACH = 0.02;

  private final int width;
  private final int height;
  private Blurring luma;
  private Blurring chroma;
  private float[] near;

  /** For pictures of one size. */
  LightWrap(int width, int height) {
    this.width = width;
    this.height = height;
  }

  /**
   * Brings it into a part of a picture, whose sides are even.
   *
   * @param amount 0 to 1
   * @param cover how opaque the picture is, 0 to 255; only the part is looked at, there is nothing
   *     outside it
   */
  void draw(
      Frame under,
      double amount,
      Frame over,
      byte[] cover,
      int left,
      int top,
      int right,
      int bottom) {
    if (luma == null) {
      luma = new Blurring(width, height);
      chroma = new Blurring(width / 2, height / 2);
      near = new float[width * height];
    }
    double sigma = REACH * height;
    float[] open = luma.values();
    Arrays.fill(open, 255);
    for (int y = top; y < bottom; y++) {
      for (int at = y * width + left; at < y * width + right; at++) {
        open[at] = 255 - (cover[at] & 0xff);
      }
    }
    System.arraycopy(luma.blurred(sigma), 0, near, 0, near.length);
    for (int plane = 0; plane < 3; plane++) {
      int part = plane == 0 ? 1 : 2;
      Blurring blurring = plane == 0 ? luma : chroma;
      float[] light = blurring.of(under.data(), under.offset(plane), sigma / part);
      int w = width / part;
      for (int y = top / part; y < bottom / part; y++) {
        for (int x = left / part; x < right / part; x++) {
          int at = over.offset(plane) + y * w + x;
          int value = over.data()[at] & 0xff;
          double share = amount * near[y * part * width + x * part] / 255;
          over.data()[at] = (byte) Math.round(value + share * (light[y * w + x] - value));
        }
      }
    }
  }
}
