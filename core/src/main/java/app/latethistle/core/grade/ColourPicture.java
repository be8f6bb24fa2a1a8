package app.latethistle.core.grade;

import app.latethistle.core.Refused;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.picture.Rgb;

/** A small picture whose colours are looked at: rows of signals of 8 bits a channel. */
public final class ColourPicture {
  private final int width;
  private final int height;
  private final int[] rgb;

  /**
   * @param rgb 0xRRGGBB, row by row; not copied
   * @throws IllegalArgumentException if there are not as many as the sides ask for
   */
  public ColourPicture(int width, int height, int[] rgb) {
    if (width < 1 || height < 1 || rgb.length != width * height) {
      throw new Refused("A picture of " + width + "x" + height + " has other pixels.");
    }
    this.width = width;
    this.height = height;
    this.rgb = rgb;
  }

  /** A frame in RGB. */
  public static ColourPicture of(Frame frame) {
    int[] rgb = new int[frame.width() * frame.height()];
    Rgb.fromFrame(frame, rgb);
    return new ColourPicture(frame.width(), frame.height(), rgb);
  }

  /**
   * The same with its longer side at most so long; each pixel is the mean of those it stands for.
   */
  public ColourPicture atMost(int longest) {
    int side = Math.max(width, height);
    if (side <= longest) {
      return this;
    }
    int w = Math.max(1, Math.round((float) width * longest / side));
    int h = Math.max(1, Math.round((float) height * longest / side));
    int[] small = new int[w * h];
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        small[y * w + x] =
            mean(
                x * width / w,
                y * height / h,
                Math.max(x * width / w + 1, (x + 1) * width / w),
                Math.max(y * height / h + 1, (y + 1) * height / h));
      }
    }
    return new ColourPicture(w, h, small);
  }

  private int mean(int left, int top, int right, int bottom) {
    long red = 0;
    long green = 0;
    long blue = 0;
    for (int y = top; y < bottom; y++) {
      for (int x = left; x < right; x++) {
        int v = rgb[y * width + x];
        red += v >> 16 & 0xff;
        green += v >> 8 & 0xff;
        blue += v & 0xff;
      }
    }
    long n = (long) (right - left) * (bottom - top);
    return (int)
        ((((red + n / 2) / n) << 16) | (((green + n / 2) / n) << 8) | ((blue + n / 2) / n));
  }

  /** The same as a grading shows it, rounded. */
  public ColourPicture graded(Grading grading) {
    int[] graded = new int[rgb.length];
    for (int i = 0; i < rgb.length; i++) {
      graded[i] = grading.apply(Signal.of(rgb[i])).rgb();
    }
    return new ColourPicture(width, height, graded);
  }

  public int width() {
    return width;
  }

  public int height() {
    return height;
  }

  /** The colour of a pixel, 0xRRGGBB. */
  public int at(int x, int y) {
    return rgb[y * width + x];
  }

  /** How many pixels it has. */
  public int count() {
    return rgb.length;
  }

  /** The colour of a pixel, counted row by row. */
  public int at(int index) {
    return rgb[index];
  }
}
