package app.latethistle.core.repair;

import java.util.ArrayList;
import java.util.List;

/**
 * Fills a hole from its surroundings in two ways, by patches and smoothly, and mixes them by what
 * each is worth here: both have first to fill places beside the hole of which is known what is
 * there, and the mixture is the one that comes nearest to that (least squares).
 */
final class SurroundingsFill {
  /** Trials keep so far from the hole and from the edge, in pixels. */
  private static final int APART = 4;

  /** Smaller trials say nothing. */
  private static final int LEAST = 8;

  private SurroundingsFill() {}

  /**
   * Fills what is not known.
   *
   * @param unknown places, row by row
   * @param hole in which they lie
   */
  static void fill(Crop crop, boolean[] unknown, Hole hole) {
    double products = 0;
    double squares = 0;
    for (Hole trial : trials(crop, hole)) {
      boolean[] hidden = unknown.clone();
      boolean[] tried = new boolean[hidden.length];
      for (int y = trial.y(); y < trial.y() + trial.height(); y++) {
        for (int x = trial.x(); x < trial.x() + trial.width(); x++) {
          int at = y * crop.width + x;
          tried[at] = !unknown[at];
          hidden[at] = true;
        }
      }
      Crop patches = crop.copy();
      ExemplarFill.fill(patches, hidden);
      Crop smooth = crop.copy();
      SmoothFill.fill(smooth, hidden);
      for (int i = 0; i < tried.length; i++) {
        if (tried[i]) {
          double apart = patches.planes[0][i] - smooth.planes[0][i];
          products += apart * (crop.planes[0][i] - smooth.planes[0][i]);
          squares += apart * apart;
        }
      }
    }
    double share = squares == 0 ? 0.5 : Math.max(0, Math.min(1, products / squares));
    mix(crop, unknown, (float) share);
  }

  /** Places on each side of the hole, as large as it as far as there is room. */
  private static List<Hole> trials(Crop crop, Hole hole) {
    List<Hole> trials = new ArrayList<>();
    int right = hole.x() + hole.width();
    int bottom = hole.y() + hole.height();
    int left = Math.max(APART, hole.x() - APART - hole.width());
    int top = Math.max(APART, hole.y() - APART - hole.height());
    int tall = Math.min(bottom, crop.height - APART);
    int wide = Math.min(right, crop.width - APART);
    add(trials, left, hole.y(), hole.x() - APART, tall);
    add(
        trials,
        right + APART,
        hole.y(),
        Math.min(crop.width - APART, right + APART + hole.width()),
        tall);
    add(trials, hole.x(), top, wide, hole.y() - APART);
    add(
        trials,
        hole.x(),
        bottom + APART,
        wide,
        Math.min(crop.height - APART, bottom + APART + hole.height()));
    return trials;
  }

  private static void add(List<Hole> trials, int left, int top, int right, int bottom) {
    if (right - left >= LEAST && bottom - top >= LEAST) {
      trials.add(new Hole(left, top, right - left, bottom - top));
    }
  }

  private static void mix(Crop crop, boolean[] unknown, float share) {
    Crop smooth = crop.copy();
    SmoothFill.fill(smooth, unknown);
    ExemplarFill.fill(crop, unknown);
    for (int plane = 0; plane < 3; plane++) {
      for (int i = 0; i < unknown.length; i++) {
        if (unknown[i]) {
          float other = smooth.planes[plane][i];
          crop.planes[plane][i] = other + share * (crop.planes[plane][i] - other);
        }
      }
    }
  }
}
