package app.latethistle.core.picture;

/**
 * Frames to and from RGB, by ITU-R BT.709: {@code Y = 16 + 219 (.2126 R + .7152 G + .0722 B)},
 * {@code Cb = 128 + 224 (B - Y) / 1.8556}, {@code Cr = 128 + 224 (R - Y) / 1.5748}, each rounded to
 * nearest. RGB is packed {@code 0xRRGGBB}, full range, one a pixel.
 */
public final class Rgb {
  private static final int[] LUMA = new int[256];
  private static final int[] RED_FROM_CR = new int[256];
  private static final int[] GREEN_FROM_CR = new int[256];
  private static final int[] GREEN_FROM_CB = new int[256];
  private static final int[] BLUE_FROM_CB = new int[256];

  static {
    for (int v = 0; v < 256; v++) {
      double c = (v - 128) * 255.0 / 224;
      LUMA[v] = fixed((v - 16) * 255.0 / 219) + (1 << 15);
      RED_FROM_CR[v] = fixed(1.5748 * c);
      BLUE_FROM_CB[v] = fixed(1.8556 * c);
      GREEN_FROM_CR[v] = fixed(-1.5748 * 0.2126 / 0.7152 * c);
      GREEN_FROM_CB[v] = fixed(-1.8556 * 0.0722 / 0.7152 * c);
    }
  }

  private Rgb() {}

  /**
   * Fills {@code rgb} with the frame's pixels, row by row; each chroma sample covers 2x2 pixels.
   */
  public static void fromFrame(Frame frame, int[] rgb) {
    byte[] data = frame.data();
    int width = frame.width();
    int cb = frame.offset(1);
    int cr = frame.offset(2);
    for (int y = 0; y < frame.height(); y += 2) {
      for (int x = 0; x < width; x += 2) {
        int u = data[cb++] & 0xff;
        int v = data[cr++] & 0xff;
        int red = RED_FROM_CR[v];
        int green = GREEN_FROM_CR[v] + GREEN_FROM_CB[u];
        int blue = BLUE_FROM_CB[u];
        int at = y * width + x;
        rgb[at] = pixel(data[at], red, green, blue);
        rgb[at + 1] = pixel(data[at + 1], red, green, blue);
        rgb[at + width] = pixel(data[at + width], red, green, blue);
        rgb[at + width + 1] = pixel(data[at + width + 1], red, green, blue);
      }
    }
  }

  private static int pixel(byte y, int red, int green, int blue) {
    int luma = LUMA[y & 0xff];
    return (clamp((luma + red) >> 16) << 16)
        | (clamp((luma + green) >> 16) << 8)
        | clamp((luma + blue) >> 16);
  }

  /** Fills the frame from pixels; chroma is the mean of its 2x2 pixels. */
  public static void toFrame(int[] rgb, Frame frame) {
    byte[] data = frame.data();
    int width = frame.width();
    for (int y = 0; y < frame.height(); y += 2) {
      for (int x = 0; x < width; x += 2) {
        int red = 0;
        int green = 0;
        int blue = 0;
        for (int k = 0; k < 4; k++) {
          int at = (y + k / 2) * width + x + k % 2;
          int r = rgb[at] >> 16 & 0xff;
          int g = rgb[at] >> 8 & 0xff;
          int b = rgb[at] & 0xff;
          data[at] = (byte) ((int) (16.5 + (46.559 * r + 156.629 * g + 15.812 * b) / 255));
          red += r;
          green += g;
          blue += b;
        }
        double luma = 0.2126 * red + 0.7152 * green + 0.0722 * blue;
        int at = y / 2 * (width / 2) + x / 2;
        data[frame.offset(1) + at] = chroma((blue - luma) / (1020 * 1.8556));
        data[frame.offset(2) + at] = chroma((red - luma) / (1020 * 1.5748));
      }
    }
  }

  /** A colour's luma, Cb and Cr. */
  static byte[] toYuv(int rgb) {
    Frame pixel = new Frame(2, 2);
    toFrame(new int[] {rgb, rgb, rgb, rgb}, pixel);
    return new byte[] {pixel.data()[0], pixel.data()[4], pixel.data()[5]};
  }

  private static byte chroma(double value) {
    return (byte) Math.round(128 + 224 * value);
  }

  private static int fixed(double value) {
    return (int) Math.round(value * (1 << 16));
  }

  private static int clamp(int value) {
    return (value & ~0xff) == 0 ? value : value < 0 ? 0 : 255;
  }
}
