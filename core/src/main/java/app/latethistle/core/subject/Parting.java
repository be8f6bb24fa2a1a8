package app.latethistle.core.subject;

import app.latethistle.core.grade.ColourPicture;
import java.util.EnumMap;
import java.util.Map;

/**
 * Parts a picture in the subject and the rest: by how likely each pixel is the subject's, and along
 * edges where there are some (Boykov and Jolly 2001, "Interactive Graph Cuts").
 */
final class Parting {
  /** Costs are whole numbers, so many to one. */
  private static final double UNIT = 1000;

  /** Nothing outweighs what a person said. */
  private static final int SURE = 100_000_000;

  /** No pixel's colours weigh more than these odds, as a natural logarithm. */
  private static final double MOST_ODDS = 20;

  private final int width;
  private final int height;
  private final Map<MinCut.Way, int[]> edges = new EnumMap<>(MinCut.Way.class);

  /** What each pixel tells. */
  @FunctionalInterface
  interface Odds {
    /** The natural logarithm of the odds that a pixel is the subject's. */
    double of(int pixel);
  }

  /**
   * @param weight what it costs to part two neighbours of the same colour, as odds
   */
  Parting(ColourPicture picture, double weight) {
    width = picture.width();
    height = picture.height();
    double mean = 0;
    long count = 0;
    for (MinCut.Way way : MinCut.Way.values()) {
      for (int i = 0; i < picture.count(); i++) {
        int j = beside(i, way);
        if (j >= 0) {
          mean += apart(picture.at(i), picture.at(j));
          count++;
        }
      }
    }
    // Half of the mean's inverse: Rother, Kolmogorov and Blake 2004.
    double beta = mean == 0 ? 0 : count / (2 * mean);
    for (MinCut.Way way : MinCut.Way.values()) {
      int[] cost = new int[picture.count()];
      double length = way == MinCut.Way.RIGHT || way == MinCut.Way.BELOW ? 1 : Math.sqrt(2);
      for (int i = 0; i < cost.length; i++) {
        int j = beside(i, way);
        if (j >= 0) {
          double likeness = Math.exp(-beta * apart(picture.at(i), picture.at(j)));
          cost[i] = (int) Math.round(UNIT * weight * likeness / length);
        }
      }
      edges.put(way, cost);
    }
  }

  private int beside(int pixel, MinCut.Way way) {
    int x = pixel % width;
    int y = pixel / width;
    return switch (way) {
      case RIGHT -> x + 1 < width ? pixel + 1 : -1;
      case BELOW -> y + 1 < height ? pixel + width : -1;
      case BELOW_RIGHT -> x + 1 < width && y + 1 < height ? pixel + width + 1 : -1;
      case BELOW_LEFT -> x > 0 && y + 1 < height ? pixel + width - 1 : -1;
    };
  }

  private static double apart(int one, int other) {
    double r = (one >> 16 & 0xff) - (other >> 16 & 0xff);
    double g = (one >> 8 & 0xff) - (other >> 8 & 0xff);
    double b = (one & 0xff) - (other & 0xff);
    return r * r + g * g + b * b;
  }

  /** The cheapest parting that keeps to what was said. */
  Silhouette part(Odds odds, Said said) {
    MinCut cut = new MinCut(width, height);
    for (int i = 0; i < width * height; i++) {
      if (said.of(i) == Said.NOTHING) {
        double held = Math.max(-MOST_ODDS, Math.min(MOST_ODDS, odds.of(i)));
        int cost = (int) Math.round(UNIT * Math.abs(held));
        cut.pixel(i, held > 0 ? cost : 0, held > 0 ? 0 : cost);
      } else {
        boolean in = said.of(i) == Said.IN;
        cut.pixel(i, in ? SURE : 0, in ? 0 : SURE);
      }
    }
    edges.forEach(
        (way, costs) -> {
          for (int i = 0; i < costs.length; i++) {
            if (costs[i] > 0) {
              cut.edge(i, way, costs[i]);
            }
          }
        });
    cut.part();
    return Silhouette.of(width, height, cut::isIn);
  }
}
