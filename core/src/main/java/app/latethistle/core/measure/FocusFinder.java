package app.latethistle.core.measure;

import app.latethistle.core.measure.Trail.Place;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * Finds what a viewer looks at in a take: what stands out from the whole picture by its brightness
 * or colour, and what moves otherwise than the rest.
 *
 * <p>What stands out is the distance of each pixel from the picture's mean (Achanta, Hemami,
 * Estrada and Susstrunk 2009, "Frequency-tuned Salient Region Detection", in Y, Cb and Cr), what
 * moves is the change from the picture before less what half of all pixels change by. Both are
 * scaled to a sum of one and added; what is above twice their mean, as there, matters, by as much
 * as it is above.
 */
public final class FocusFinder {
  /** Above so many times the mean something stands out: Achanta et al. */
  private static final double OUTSTANDING = 2;

  /** A mean change of less than this, in codes, is noise. */
  private static final double STILL = 0.4;

  /** A place that stays within this part of the picture's width does not move. */
  private static final double MOVING = 0.12;

  /** The tenth of what matters on either side is not asked to be seen. */
  private static final double EDGE = 0.1;

  /** What fills more than this part of the picture is no single thing. */
  private static final double SINGLE = 0.5;

  private final int width;
  private final int height;
  private final List<Place> places = new ArrayList<>();
  private final List<Double> widths = new ArrayList<>();
  private final List<Double> heights = new ArrayList<>();
  private float[] before;

  /**
   * What matters in a take.
   *
   * @param places at even times from the first picture to the last; one if it stays
   * @param across how wide it is, 0 to 1; 0 where the whole picture matters alike, so that a shape
   *     may as well show its middle alone
   * @param down how high
   */
  public record Found(List<Place> places, double across, double down) {}

  /** For pictures of one size. */
  public FocusFinder(int width, int height) {
    this.width = width;
    this.height = height;
  }

  /** Takes the next picture: planes of luma, Cb and Cr, all of the same size. */
  public void add(byte[] luma, byte[] cb, byte[] cr) {
    Gray y = Gray.of(width, height, luma).smooth();
    double[] matters =
        share(distances(List.of(y, Gray.of(width, height, cb), Gray.of(width, height, cr))));
    double[] moves = before == null ? null : moves(y.data);
    for (int i = 0; moves != null && i < matters.length; i++) {
      matters[i] += moves[i];
    }
    before = y.data;
    note(matters);
  }

  private static double[] distances(List<Gray> planes) {
    double[] far = new double[planes.get(0).data.length];
    for (Gray plane : planes) {
      double mean = plane.mean();
      for (int i = 0; i < far.length; i++) {
        far[i] += (plane.data[i] - mean) * (plane.data[i] - mean);
      }
    }
    for (int i = 0; i < far.length; i++) {
      far[i] = Math.sqrt(far[i]);
    }
    return far;
  }

  /** What changed more than half of the picture did; null if nothing much did. */
  private double[] moves(float[] now) {
    double[] change = new double[now.length];
    double sum = 0;
    for (int i = 0; i < now.length; i++) {
      change[i] = Math.abs(now[i] - before[i]);
      sum += change[i];
    }
    if (sum / now.length < STILL) {
      return null;
    }
    double[] sorted = change.clone();
    Arrays.sort(sorted);
    double usual = sorted[sorted.length / 2];
    for (int i = 0; i < change.length; i++) {
      change[i] = Math.max(0, change[i] - usual);
    }
    return share(change);
  }

  private static double[] share(double[] values) {
    double sum = Arrays.stream(values).sum();
    return sum <= 0 ? new double[values.length] : Arrays.stream(values).map(v -> v / sum).toArray();
  }

  private void note(double[] matters) {
    double least = OUTSTANDING * Arrays.stream(matters).sum() / matters.length;
    double[] columns = new double[width];
    double[] rows = new double[height];
    double all = 0;
    for (int i = 0; i < matters.length; i++) {
      if (matters[i] > least) {
        double excess = matters[i] - least;
        columns[i % width] += excess;
        rows[i / width] += excess;
        all += excess;
      }
    }
    if (all > 0) {
      places.add(new Place(at(columns, all, 0.5), at(rows, all, 0.5)));
      widths.add(at(columns, all, 1 - EDGE) - at(columns, all, EDGE));
      heights.add(at(rows, all, 1 - EDGE) - at(rows, all, EDGE));
    }
  }

  /** Where a share of a sum lies to the left, 0 to 1. */
  private static double at(double[] weights, double all, double share) {
    double left = share * all;
    for (int i = 0; i < weights.length; i++) {
      if (weights[i] >= left && weights[i] > 0) {
        return (i + left / weights[i]) / weights.length;
      }
      left -= weights[i];
    }
    return 1;
  }

  /** What was found in all pictures; empty if nothing stands out in any. */
  public Optional<Found> found() {
    if (places.isEmpty()) {
      return Optional.empty();
    }
    double across = median(widths);
    double down = median(heights);
    boolean single = across * down <= SINGLE;
    return Optional.of(new Found(way(places), single ? across : 0, single ? down : 0));
  }

  /**
   * The way of what was seen in some places one after the other: at its beginning, middle and end
   * if it moves, its middle alone if it stays.
   */
  public static List<Place> way(List<Place> places) {
    double left = places.stream().mapToDouble(Place::x).min().orElseThrow();
    double right = places.stream().mapToDouble(Place::x).max().orElseThrow();
    int third = places.size() / 3;
    return right - left > MOVING && third > 0
        ? List.of(
            middle(places.subList(0, third)),
            middle(places.subList(third, places.size() - third)),
            middle(places.subList(places.size() - third, places.size())))
        : List.of(middle(places));
  }

  private static Place middle(List<Place> some) {
    return new Place(
        median(some.stream().map(Place::x).toList()), median(some.stream().map(Place::y).toList()));
  }

  private static double median(List<Double> values) {
    double[] sorted = values.stream().mapToDouble(Double::doubleValue).sorted().toArray();
    return (sorted[(sorted.length - 1) / 2] + sorted[sorted.length / 2]) / 2;
  }
}
