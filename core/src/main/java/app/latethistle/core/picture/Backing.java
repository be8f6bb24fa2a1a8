package app.latethistle.core.picture;

import java.util.Optional;

/** Finds the colour of an even backing by what stands along a picture's sides and top. */
public final class Backing {
  /** The part of the picture's sides that is looked at. */
  private static final double EDGE = 0.08;

  /** A weaker colour than this, in codes from grey, is no backing. */
  private static final int LEAST = 18;

  /** Colours are counted in squares of so many codes. */
  private static final int CELL = 12;

  /** So much of the edge has to be of one colour. */
  private static final double MOST = 0.3;

  private Backing() {}

  /** The backing's mean colour as 0xRRGGBB; empty where no colour stands along the edges. */
  public static Optional<Integer> of(Frame frame) {
    int w = frame.width() / 2;
    int h = frame.height() / 2;
    int across = (int) Math.ceil(w * EDGE);
    int down = (int) Math.ceil(h * EDGE);
    int cells = 256 / CELL + 1;
    int[] counts = new int[cells * cells];
    int looked = 0;
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        if (x < across || x >= w - across || y < down) {
          looked++;
          int cell = cell(frame, y * w + x, cells);
          counts[cell] += cell < 0 ? 0 : 1;
        }
      }
    }
    int best = -1;
    for (int i = 0; i < counts.length; i++) {
      if (strong(i, cells) && (best < 0 || counts[i] > counts[best])) {
        best = i;
      }
    }
    return best < 0 || counts[best] < MOST * looked
        ? Optional.empty()
        : Optional.of(mean(frame, best, cells, across, down));
  }

  private static int cell(Frame frame, int at, int cells) {
    int cb = frame.data()[frame.offset(1) + at] & 0xff;
    int cr = frame.data()[frame.offset(2) + at] & 0xff;
    return cb / CELL * cells + cr / CELL;
  }

  private static boolean strong(int cell, int cells) {
    double cb = (cell / cells + 0.5) * CELL - 128;
    double cr = (cell % cells + 0.5) * CELL - 128;
    return Math.hypot(cb, cr) >= LEAST;
  }

  private static int mean(Frame frame, int cell, int cells, int across, int down) {
    int w = frame.width() / 2;
    int h = frame.height() / 2;
    double[] sums = new double[3];
    int count = 0;
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        boolean edge = x < across || x >= w - across || y < down;
        if (edge && near(cell(frame, y * w + x, cells), cell, cells)) {
          sums[0] += Frame.meanOfFour(frame.data(), 2 * y * frame.width() + 2 * x, frame.width());
          sums[1] += frame.data()[frame.offset(1) + y * w + x] & 0xff;
          sums[2] += frame.data()[frame.offset(2) + y * w + x] & 0xff;
          count++;
        }
      }
    }
    Frame one = new Frame(2, 2);
    for (int i = 0; i < 6; i++) {
      one.data()[i] = (byte) Math.round(sums[Math.max(0, i - 3)] / count);
    }
    int[] rgb = new int[4];
    Rgb.fromFrame(one, rgb);
    return rgb[0];
  }

  private static boolean near(int cell, int other, int cells) {
    return Math.abs(cell / cells - other / cells) <= 1
        && Math.abs(cell % cells - other % cells) <= 1;
  }
}
