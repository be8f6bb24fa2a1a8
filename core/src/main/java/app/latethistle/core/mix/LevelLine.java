package app.latethistle.core.mix;

import app.latethistle.core.key.KeyWriter;
import app.latethistle.core.sound.Decibels;
import app.latethistle.core.time.SampleRange;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.function.DoubleBinaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A gain over the film: evenly in decibels from point to point, before the first and after the last
 * as they are.
 *
 * @param points in the order of their samples
 */
public record LevelLine(List<Point> points) {
  /** All is as loud as it is. */
  public static final LevelLine FLAT = new LevelLine(List.of());

  /** A gain at a sample of the film. */
  public record Point(long sample, double decibels) {}

  /** Puts the points in order. */
  public LevelLine {
    points = points.stream().sorted(Comparator.comparingLong(Point::sample)).toList();
  }

  /** The same gain everywhere. */
  public static LevelLine level(double decibels) {
    return decibels == 0 ? FLAT : new LevelLine(List.of(new Point(0, decibels)));
  }

  /** The gain at a sample, in decibels. */
  public double at(long sample) {
    if (points.isEmpty()) {
      return 0;
    }
    int after = 0;
    while (after < points.size() && points.get(after).sample <= sample) {
      after++;
    }
    if (after == 0) {
      return points.get(0).decibels;
    }
    Point from = points.get(after - 1);
    if (after == points.size()) {
      return from.decibels;
    }
    Point to = points.get(after);
    double share = (double) (sample - from.sample) / (to.sample - from.sample);
    return from.decibels + share * (to.decibels - from.decibels);
  }

  /** Both gains at once. */
  LevelLine plus(LevelLine other) {
    return joined(other, (a, b) -> a + b, samplesOf(other));
  }

  /** The lower of two gains everywhere. */
  LevelLine lower(LevelLine other) {
    SortedSet<Long> samples = samplesOf(other);
    long before = Long.MIN_VALUE;
    for (long sample : List.copyOf(samples)) {
      if (before != Long.MIN_VALUE) {
        double was = at(before) - other.at(before);
        double is = at(sample) - other.at(sample);
        if (was * is < 0) {
          samples.add(before + Math.round((double) (sample - before) * was / (was - is)));
        }
      }
      before = sample;
    }
    return joined(other, Math::min, samples);
  }

  private SortedSet<Long> samplesOf(LevelLine other) {
    return Stream.concat(points.stream(), other.points.stream())
        .map(Point::sample)
        .collect(Collectors.toCollection(TreeSet::new));
  }

  private LevelLine joined(LevelLine other, DoubleBinaryOperator as, Collection<Long> samples) {
    if (points.isEmpty() && other.points.isEmpty()) {
      return FLAT;
    }
    return new LevelLine(
        samples.stream().map(s -> new Point(s, as.applyAsDouble(at(s), other.at(s)))).toList());
  }

  /** The mean of the gain over a range, of ten places in it, in decibels. */
  double mean(SampleRange range) {
    double sum = 0;
    for (int i = 0; i < 10; i++) {
      sum += at(range.start() + (2L * i + 1) * range.length() / 20);
    }
    return sum / 10;
  }

  /** The same later by so many samples. */
  LevelLine shift(long by) {
    return new LevelLine(points.stream().map(p -> new Point(p.sample + by, p.decibels)).toList());
  }

  /**
   * Fills the factors of a range.
   *
   * @param from the first sample's number
   */
  void factors(long from, float[] factors, int count) {
    int after = 0;
    for (int i = 0; i < count; ) {
      long at = from + i;
      while (after < points.size() && points.get(after).sample <= at) {
        after++;
      }
      long next = after < points.size() ? points.get(after).sample : Long.MAX_VALUE / 2;
      int to = (int) Math.min(count, next - from);
      boolean flat =
          after == 0
              || after == points.size()
              || points.get(after - 1).decibels == points.get(after).decibels;
      if (flat) {
        float factor = (float) Decibels.factor(at(at));
        for (; i < to; i++) {
          factors[i] = factor;
        }
      } else {
        Point a = points.get(after - 1);
        Point b = points.get(after);
        double slope = (b.decibels - a.decibels) / (double) (b.sample - a.sample);
        for (; i < to; i++) {
          factors[i] = (float) Decibels.factor(a.decibels + slope * (double) (from + i - a.sample));
        }
      }
    }
  }

  /** Writes all that can change a gain within a range, counted from another sample. */
  void writeKey(KeyWriter key, SampleRange range, long zero) {
    key.put("line").put(at(range.start())).put(at(range.end()));
    for (int i = 0; i < points.size(); i++) {
      Point p = points.get(i);
      boolean within = p.sample > range.start() && p.sample < range.end();
      boolean before = i + 1 < points.size() && points.get(i + 1).sample > range.start();
      boolean after = i > 0 && points.get(i - 1).sample < range.end();
      // What lies beside the range matters where the line slopes towards it.
      boolean sloping =
          (p.sample <= range.start() && before && points.get(i + 1).decibels != p.decibels)
              || (p.sample >= range.end() && after && points.get(i - 1).decibels != p.decibels);
      if (within || sloping) {
        key.put(p.sample - zero).put(p.decibels);
      }
    }
  }
}
