package app.latethistle.core.picture;

import app.latethistle.core.look.Mixing;

/** What colours become that are laid over others; see {@link Mixing} for the formulas. */
final class MixedColours {
  private static final double LUMA_STEP = 255.0 / 219;
  private static final double CHROMA_STEP = 255.0 / 224;

  private MixedColours() {}

  /** Replaces a part of a picture by what it makes of what lies under it; its sides are even. */
  static void draw(
      Mixing mixing, Frame under, Frame over, int left, int top, int right, int bottom) {
    Block below = new Block();
    Block above = new Block();
    for (int y = top; y < bottom; y += 2) {
      for (int x = left; x < right; x += 2) {
        below.read(under, x, y);
        above.read(over, x, y);
        for (int i = 0; i < above.rgb.length; i++) {
          above.rgb[i] = of(mixing, below.rgb[i], above.rgb[i]);
        }
        above.write(over, x, y);
      }
    }
  }

  /**
   * One channel.
   *
   * @param below 0 to 1
   * @param above 0 to 1
   */
  static double of(Mixing mixing, double below, double above) {
    return switch (mixing) {
      case NORMAL -> above;
      case ADD -> Math.min(1, below + above);
      case MULTIPLY -> below * above;
      case SCREEN -> below + above - below * above;
      case DARKEN -> Math.min(below, above);
      case LIGHTEN -> Math.max(below, above);
      case OVERLAY -> below <= 0.5 ? 2 * below * above : 1 - 2 * (1 - below) * (1 - above);
    };
  }

  /** Four pixels that share their chroma, as red, green and blue, 0 to 1. */
  private static final class Block {
    private final double[] rgb = new double[12];

    void read(Frame frame, int x, int y) {
      byte[] data = frame.data();
      int width = frame.width();
      int at = y / 2 * (width / 2) + x / 2;
      double cb = ((data[frame.offset(1) + at] & 0xff) - 128) * CHROMA_STEP;
      double cr = ((data[frame.offset(2) + at] & 0xff) - 128) * CHROMA_STEP;
      double red = 1.5748 * cr;
      double green = -(1.5748 * 0.2126 * cr + 1.8556 * 0.0722 * cb) / 0.7152;
      double blue = 1.8556 * cb;
      for (int i = 0; i < 4; i++) {
        double luma = ((data[(y + i / 2) * width + x + i % 2] & 0xff) - 16) * LUMA_STEP;
        rgb[3 * i] = share(luma + red);
        rgb[3 * i + 1] = share(luma + green);
        rgb[3 * i + 2] = share(luma + blue);
      }
    }

    void write(Frame frame, int x, int y) {
      byte[] data = frame.data();
      int width = frame.width();
      double cb = 0;
      double cr = 0;
      for (int i = 0; i < 4; i++) {
        double luma = 0.2126 * rgb[3 * i] + 0.7152 * rgb[3 * i + 1] + 0.0722 * rgb[3 * i + 2];
        data[(y + i / 2) * width + x + i % 2] = (byte) (int) (16.5 + 219 * luma);
        cb += (rgb[3 * i + 2] - luma) / 1.8556;
        cr += (rgb[3 * i] - luma) / 1.5748;
      }
      int at = y / 2 * (width / 2) + x / 2;
      data[frame.offset(1) + at] = (byte) (int) (128.5 + 56 * cb);
      data[frame.offset(2) + at] = (byte) (int) (128.5 + 56 * cr);
    }

    private static double share(double value) {
      return Math.max(0, Math.min(1, value / 255));
    }
  }
}
