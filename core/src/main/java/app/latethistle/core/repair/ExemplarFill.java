package app.latethistle.core.repair;

import java.util.Arrays;

/**
 * Fills a hole from what is around it, patch by patch from its border inwards, those first from
 * which an edge runs in (Criminisi, Perez and Toyama, Region Filling and Object Removal by
 * Exemplar-Based Image Inpainting, 2004). What is put in is the mean of the patches that fit best,
 * each weighed by how well it fits, for it is to be near to what was there rather than to be sharp
 * (Xu and Sun, Image Inpainting by Patch Propagation Using Patch Sparsity, 2010).
 */
final class ExemplarFill {
  /** A patch is 9 pixels wide, as Criminisi has it. */
  private static final int HALF = 4;

  /** Patches that are weighed together. */
  private static final int BEST = 12;

  /** Every so many places a patch is tried; textures do not care for the one between. */
  private static final int STEP = 2;

  private final Crop crop;
  private final int width;
  private final int height;
  private final boolean[] known;
  private final float[] confidence;
  private final boolean[] source;

  private ExemplarFill(Crop crop, boolean[] unknown) {
    this.crop = crop;
    width = crop.width;
    height = crop.height;
    known = new boolean[width * height];
    confidence = new float[width * height];
    for (int i = 0; i < known.length; i++) {
      known[i] = !unknown[i];
      confidence[i] = known[i] ? 1 : 0;
    }
    source = sources();
  }

  /**
   * Fills what is not known.
   *
   * @param unknown places, row by row; some around them are known
   */
  static void fill(Crop crop, boolean[] unknown) {
    new ExemplarFill(crop, unknown).run();
  }

  private void run() {
    for (int[] next = front(); next != null; next = front()) {
      fillPatch(next[0], next[1]);
    }
  }

  /** Middles of patches of which all is known from the start. */
  private boolean[] sources() {
    boolean[] all = new boolean[width * height];
    for (int y = HALF; y < height - HALF; y++) {
      for (int x = HALF; x < width - HALF; x++) {
        all[y * width + x] = isKnown(x, y);
      }
    }
    return all;
  }

  private boolean isKnown(int atX, int atY) {
    for (int y = atY - HALF; y <= atY + HALF; y++) {
      for (int x = atX - HALF; x <= atX + HALF; x++) {
        if (!known[y * width + x]) {
          return false;
        }
      }
    }
    return true;
  }

  /** The place of the border that is filled next; null if all is known. */
  private int[] front() {
    double most = -1;
    int[] found = null;
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        if (known[y * width + x] || !isBorder(x, y)) {
          continue;
        }
        double priority = sureness(x, y) * (edge(x, y) + 1);
        if (priority > most) {
          most = priority;
          found = new int[] {x, y};
        }
      }
    }
    return found;
  }

  private boolean isBorder(int x, int y) {
    return knownAt(x - 1, y) || knownAt(x + 1, y) || knownAt(x, y - 1) || knownAt(x, y + 1);
  }

  private boolean knownAt(int x, int y) {
    return x >= 0 && y >= 0 && x < width && y < height && known[y * width + x];
  }

  /** How much of the patch is known, and how surely. */
  private double sureness(int atX, int atY) {
    double sum = 0;
    for (int y = Math.max(0, atY - HALF); y <= Math.min(height - 1, atY + HALF); y++) {
      for (int x = Math.max(0, atX - HALF); x <= Math.min(width - 1, atX + HALF); x++) {
        sum += confidence[y * width + x];
      }
    }
    return sum / ((2 * HALF + 1) * (2 * HALF + 1));
  }

  /** How strongly a line of equal brightness runs into the hole here, in codes a pixel. */
  private double edge(int atX, int atY) {
    double most = 0;
    for (int y = Math.max(1, atY - HALF); y <= Math.min(height - 2, atY + HALF); y++) {
      for (int x = Math.max(1, atX - HALF); x <= Math.min(width - 2, atX + HALF); x++) {
        int at = y * width + x;
        if (known[at - 1] && known[at + 1] && known[at - width] && known[at + width]) {
          float across = (crop.planes[0][at + 1] - crop.planes[0][at - 1]) / 2;
          float down = (crop.planes[0][at + width] - crop.planes[0][at - width]) / 2;
          // The line runs at a right angle to the steepest way; the hole lies from here to there.
          double toX = atX - x;
          double toY = atY - y;
          double far = Math.hypot(toX, toY);
          double into = far == 0 ? 0 : Math.abs(-down * toX + across * toY) / far;
          most = Math.max(most, into);
        }
      }
    }
    return most;
  }

  private void fillPatch(int atX, int atY) {
    int left = Math.max(0, atX - HALF);
    int right = Math.min(width - 1, atX + HALF);
    int top = Math.max(0, atY - HALF);
    int bottom = Math.min(height - 1, atY + HALF);
    double[] cost = new double[BEST];
    int[] best = new int[BEST];
    Arrays.fill(cost, Double.MAX_VALUE);
    int first = (atX + atY) % STEP;
    for (int y = HALF + first; y < height - HALF; y += STEP) {
      for (int x = HALF + first; x < width - HALF; x += STEP) {
        if (source[y * width + x]) {
          double found = cost(x - atX, y - atY, left, right, top, bottom, cost[BEST - 1]);
          keep(cost, best, found, y * width + x);
        }
      }
    }
    put(atX, atY, left, right, top, bottom, cost, best);
  }

  /** How far what is known of a patch is from the same places so far away; at most {@code most}. */
  private double cost(int across, int down, int left, int right, int top, int bottom, double most) {
    double sum = 0;
    for (int y = top; y <= bottom && sum < most; y++) {
      for (int x = left; x <= right; x++) {
        int at = y * width + x;
        if (known[at]) {
          int from = at + down * width + across;
          for (float[] plane : crop.planes) {
            float off = plane[at] - plane[from];
            sum += off * off;
          }
        }
      }
    }
    return sum;
  }

  private static void keep(double[] cost, int[] best, double found, int place) {
    int at = BEST - 1;
    if (found >= cost[at]) {
      return;
    }
    while (at > 0 && cost[at - 1] > found) {
      cost[at] = cost[at - 1];
      best[at] = best[at - 1];
      at--;
    }
    cost[at] = found;
    best[at] = place;
  }

  private void put(
      int atX, int atY, int left, int right, int top, int bottom, double[] cost, int[] best) {
    double sure = sureness(atX, atY);
    int places = (right - left + 1) * (bottom - top + 1);
    double[] weight = new double[BEST];
    double all = 0;
    for (int i = 0; i < BEST; i++) {
      // One code a sample more than the best weighs a third as much.
      weight[i] = cost[i] == Double.MAX_VALUE ? 0 : Math.exp(-(cost[i] - cost[0]) / (3.0 * places));
      all += weight[i];
    }
    for (int y = top; y <= bottom; y++) {
      for (int x = left; x <= right; x++) {
        int at = y * width + x;
        if (known[at]) {
          continue;
        }
        for (float[] plane : crop.planes) {
          double sum = 0;
          for (int i = 0; i < BEST && weight[i] > 0; i++) {
            sum += weight[i] * plane[best[i] + (y - atY) * width + x - atX];
          }
          plane[at] = (float) (all == 0 ? 128 : sum / all);
        }
        confidence[at] = (float) sure;
      }
    }
    for (int y = top; y <= bottom; y++) {
      Arrays.fill(known, y * width + left, y * width + right + 1, true);
    }
  }
}
