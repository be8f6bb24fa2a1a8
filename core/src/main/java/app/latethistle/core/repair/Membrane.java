package app.latethistle.core.repair;

import java.util.ArrayList;
import java.util.List;

/**
 * Makes what was put into a hole meet what is around it: the differences along its border are
 * spread over it, each place taking from each place of the border the less the further it is (mean
 * value coordinates of Farbman et al., Coordinates for Instant Image Cloning, 2009, in their simple
 * form of inverse squared distances).
 */
final class Membrane {
  /** Every so many pixels of the border one is asked; they are alike. */
  private static final int EVERY = 3;

  /** The border is this wide, so that one odd pixel does not count. */
  private static final int WIDE = 3;

  private final Hole hole;
  private final List<int[]> border = new ArrayList<>();

  /**
   * @param hole in the crops it is used on
   */
  Membrane(Hole hole, int width, int height) {
    this.hole = hole;
    for (int x = hole.x(); x < hole.x() + hole.width(); x += EVERY) {
      add(x, hole.y() - 2, width, height);
      add(x, hole.y() + hole.height() + 1, width, height);
    }
    for (int y = hole.y(); y < hole.y() + hole.height(); y += EVERY) {
      add(hole.x() - 2, y, width, height);
      add(hole.x() + hole.width() + 1, y, width, height);
    }
  }

  private void add(int x, int y, int width, int height) {
    int half = WIDE / 2;
    if (x >= half && y >= half && x < width - half && y < height - half) {
      border.add(new int[] {x, y});
    }
  }

  /**
   * Corrects what lies in the hole.
   *
   * @param filled corrected in place; it knows its surroundings as it takes them to be
   * @param real the surroundings as they are
   */
  void meet(Crop filled, Crop real) {
    if (border.isEmpty()) {
      return;
    }
    for (int plane = 0; plane < 3; plane++) {
      double[] off = new double[border.size()];
      for (int i = 0; i < off.length; i++) {
        off[i] = difference(real.planes[plane], filled.planes[plane], border.get(i), real.width);
      }
      spread(filled.planes[plane], off, real.width);
    }
  }

  private static double difference(float[] real, float[] filled, int[] at, int width) {
    double sum = 0;
    for (int y = -WIDE / 2; y <= WIDE / 2; y++) {
      for (int x = -WIDE / 2; x <= WIDE / 2; x++) {
        int place = (at[1] + y) * width + at[0] + x;
        sum += real[place] - filled[place];
      }
    }
    return sum / (WIDE * WIDE);
  }

  private void spread(float[] plane, double[] off, int width) {
    for (int y = hole.y(); y < hole.y() + hole.height(); y++) {
      for (int x = hole.x(); x < hole.x() + hole.width(); x++) {
        double sum = 0;
        double weights = 0;
        for (int i = 0; i < off.length; i++) {
          int[] at = border.get(i);
          double across = at[0] - x;
          double down = at[1] - y;
          double weight = 1 / (across * across + down * down);
          sum += weight * off[i];
          weights += weight;
        }
        plane[y * width + x] += (float) (sum / weights);
      }
    }
  }
}
