package app.latethistle.core.grade;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Colours of places that two pictures have in common.
 *
 * @param shot how one shows it
 * @param key how the other does
 */
record PairedColours(Signal shot, Signal key) {
  /** Pairs that are kept: more add nothing to fifteen numbers. */
  private static final int MOST = 250;

  /** A window's half side, in pixels: wider than places are missed by. */
  private static final int HALF = 3;

  /** A code this near to either end may have been cut off there. */
  private static final int CUT = 4;

  /** Colours of windows all over a shot that the key shows too; the evenest ones. */
  static List<PairedColours> of(ColourPicture shot, ColourPicture key, Similarity there) {
    record Window(PairedColours colours, double uneven) {}
    List<Window> windows = new ArrayList<>();
    int half = Math.max(1, (int) Math.round(HALF * there.enlargement()));
    for (int y = HALF; y < shot.height() - HALF; y += HALF) {
      for (int x = HALF; x < shot.width() - HALF; x += HALF) {
        int kx = (int) Math.round(there.thereX(x, y));
        int ky = (int) Math.round(there.thereY(x, y));
        if (kx < half || ky < half || kx >= key.width() - half || ky >= key.height() - half) {
          continue;
        }
        Mean one = Mean.of(shot, x, y, HALF);
        Mean other = Mean.of(key, kx, ky, half);
        if (one.whole && other.whole) {
          windows.add(
              new Window(new PairedColours(one.colour, other.colour), one.spread + other.spread));
        }
      }
    }
    windows.sort(Comparator.comparingDouble(Window::uneven));
    int kept = Math.min(MOST * 4, Math.max(Math.min(windows.size(), MOST), windows.size() / 2));
    int step = Math.max(1, kept / MOST);
    List<PairedColours> pairs = new ArrayList<>();
    for (int i = 0; i < kept; i += step) {
      pairs.add(windows.get(i).colours);
    }
    return pairs;
  }

  /** A window's mean colour; whole if none of its values was cut off. */
  private record Mean(Signal colour, double spread, boolean whole) {
    static Mean of(ColourPicture picture, int x, int y, int half) {
      double[] sum = new double[3];
      double luma = 0;
      double squares = 0;
      int cut = 0;
      int n = 0;
      for (int j = -half; j <= half; j++) {
        for (int i = -half; i <= half; i++) {
          int rgb = picture.at(x + i, y + j);
          Signal s = Signal.of(rgb);
          sum[0] += s.red();
          sum[1] += s.green();
          sum[2] += s.blue();
          luma += s.luma();
          squares += s.luma() * s.luma();
          cut += isCut(rgb >> 16 & 0xff) || isCut(rgb >> 8 & 0xff) || isCut(rgb & 0xff) ? 1 : 0;
          n++;
        }
      }
      double spread = Math.sqrt(Math.max(0, squares / n - luma / n * (luma / n)));
      return new Mean(new Signal(sum[0] / n, sum[1] / n, sum[2] / n), spread, cut * 20 < n);
    }

    private static boolean isCut(int code) {
      return code < CUT || code > 255 - CUT;
    }
  }
}
