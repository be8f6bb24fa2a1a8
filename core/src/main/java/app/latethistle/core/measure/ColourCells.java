package app.latethistle.core.measure;

import java.util.Arrays;

/**
 * The signals R'G'B' of a picture in cells of a few pixels, 0 to 1: noise weighs little in them,
 * and what is where still shows.
 */
final class ColourCells {
  /** Pixels of luma along a cell. */
  private static final int CELL = 4;

  /** Of a display's black, and of its range, in codes. */
  private static final double BLACK = 16;

  private static final double RANGE = 219;
  private static final double CHROMA_RANGE = 224;

  /** Signals below this are noise as much as light, those above the other are cut off. */
  private static final double DARK = 0.06;

  private static final double BRIGHT = 0.94;

  /** With fewer cells than this share in common, pictures do not tell. */
  private static final double LEAST_COMMON = 0.1;

  /**
   * Light that changes does so alike all over: the changes are spread less than this share of what
   * the picture itself is. Those between two pictures that have nothing in common are spread more
   * than either.
   */
  private static final double ALIKE = 0.7;

  /** A spread that noise alone can make where a picture is even, in natural logarithms. */
  private static final double NOISE = 0.05;

  private final int across;
  private final int down;
  private final double perWidth;
  private final double[][] signals;

  /**
   * @param width of the luma, even
   * @param height even
   * @param luma limited range, as the others
   * @param blue Cb, half as wide and high
   * @param red Cr
   */
  ColourCells(int width, int height, byte[] luma, byte[] blue, byte[] red) {
    across = width / CELL;
    down = height / CELL;
    perWidth = width / (double) CELL;
    signals = new double[3][across * down];
    for (int y = 0; y < down; y++) {
      for (int x = 0; x < across; x++) {
        int at = y * across + x;
        double y1 = (mean(luma, width, x, y, CELL) - BLACK) / RANGE;
        double cb = (mean(blue, width / 2, x, y, CELL / 2) - 128) / CHROMA_RANGE;
        double cr = (mean(red, width / 2, x, y, CELL / 2) - 128) / CHROMA_RANGE;
        // ITU-R BT.709.
        signals[0][at] = y1 + 1.5748 * cr;
        signals[1][at] = y1 - 0.1873 * cb - 0.4681 * cr;
        signals[2][at] = y1 + 1.8556 * cb;
      }
    }
  }

  private static double mean(byte[] plane, int width, int x, int y, int side) {
    int sum = 0;
    for (int row = y * side; row < (y + 1) * side; row++) {
      for (int i = x * side; i < (x + 1) * side; i++) {
        sum += plane[row * width + i] & 0xff;
      }
    }
    return sum / (double) (side * side);
  }

  /**
   * How many times as large the signals became, as natural logarithms for red, green and blue: the
   * medians over what both pictures show; null if they do not tell.
   *
   * @param travel how the picture moved from the other one to this
   */
  double[] since(ColourCells before, Travel travel) {
    double[][] changes = new double[3][across * down];
    double[][] seen = new double[3][across * down];
    int count = 0;
    Travel back = travel.inverse();
    double angle = Math.toRadians(back.turn());
    double cos = back.zoom() * Math.cos(angle);
    double sin = back.zoom() * Math.sin(angle);
    double[] then = new double[3];
    for (int y = 0; y < down; y++) {
      for (int x = 0; x < across; x++) {
        double right = x + 0.5 - across / 2.0;
        double low = y + 0.5 - down / 2.0;
        double fromX = cos * right - sin * low + back.right() * perWidth + across / 2.0 - 0.5;
        double fromY = sin * right + cos * low + back.down() * perWidth + down / 2.0 - 0.5;
        int at = y * across + x;
        if (tells(at) && before.at(fromX, fromY, then)) {
          for (int c = 0; c < 3; c++) {
            changes[c][count] = Math.log(signals[c][at] / then[c]);
            seen[c][count] = Math.log(then[c]);
          }
          count++;
        }
      }
    }
    return count < LEAST_COMMON * across * down ? null : medians(changes, seen, count);
  }

  private static double[] medians(double[][] changes, double[][] seen, int count) {
    double[] medians = new double[3];
    for (int c = 0; c < 3; c++) {
      double[] all = sorted(changes[c], count);
      double most = Math.max(NOISE, ALIKE * spread(sorted(seen[c], count)));
      if (spread(all) > most) {
        return null;
      }
      medians[c] = all[count / 2];
    }
    return medians;
  }

  private static double[] sorted(double[] values, int count) {
    double[] all = Arrays.copyOf(values, count);
    Arrays.sort(all);
    return all;
  }

  /** Between the first and the third quartile. */
  private static double spread(double[] sorted) {
    return sorted[sorted.length * 3 / 4] - sorted[sorted.length / 4];
  }

  private boolean tells(int at) {
    for (double[] signal : signals) {
      if (signal[at] < DARK || signal[at] > BRIGHT) {
        return false;
      }
    }
    return true;
  }

  /** The signals between cells; false where the picture ends or does not tell. */
  private boolean at(double x, double y, double[] into) {
    int left = (int) Math.floor(x);
    int top = (int) Math.floor(y);
    if (left < 0 || top < 0 || left + 1 >= across || top + 1 >= down) {
      return false;
    }
    double h = x - left;
    double v = y - top;
    int at = top * across + left;
    for (int c = 0; c < 3; c++) {
      double[] signal = signals[c];
      into[c] =
          (1 - v) * ((1 - h) * signal[at] + h * signal[at + 1])
              + v * ((1 - h) * signal[at + across] + h * signal[at + across + 1]);
      if (into[c] < DARK || into[c] > BRIGHT) {
        return false;
      }
    }
    return true;
  }
}
