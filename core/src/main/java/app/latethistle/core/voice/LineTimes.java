package app.latethistle.core.voice;

import app.latethistle.core.time.SampleRange;
import app.latethistle.core.time.Samples;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;

/**
 * Where the lines of a film start. A line that is set to a moment has its first word there; any
 * other follows the line before it after a gap. Nothing is moved in silence: voices that sound at
 * once are told.
 *
 * @param places one for every line, in order
 * @param overlaps pairs of lines, by their places from 0, that sound at the same time
 */
public record LineTimes(List<SampleRange> places, List<Overlap> overlaps) {
  /** The smallest gap between a line and the one it follows, in seconds. */
  public static final double SMALLEST_GAP = 0.1;

  /**
   * A line to be placed.
   *
   * @param length of its reading in samples
   * @param onset where its first word begins in the reading, in samples
   * @param at where the first word is to be, in samples of the film; empty to follow on
   * @param gap after the line before, in seconds; not less than the smallest is used
   */
  public record Line(long length, long onset, OptionalLong at, double gap) {}

  /** Two lines that sound at the same time for so many samples. */
  public record Overlap(int first, int second, long samples) {}

  public LineTimes {
    places = List.copyOf(places);
    overlaps = List.copyOf(overlaps);
  }

  /**
   * Places lines. A line without a reading has a length of 0 and neither overlaps nor is followed.
   */
  public static LineTimes of(List<Line> lines) {
    List<SampleRange> places = new ArrayList<>();
    long free = 0;
    boolean first = true;
    for (Line line : lines) {
      long gap = first ? 0 : Samples.ofSeconds(Math.max(SMALLEST_GAP, line.gap));
      long start = line.at.isPresent() ? Math.max(0, line.at.getAsLong() - line.onset) : free + gap;
      places.add(SampleRange.ofLength(start, line.length));
      if (line.length > 0) {
        free = start + line.length;
        first = false;
      }
    }
    List<Overlap> overlaps = new ArrayList<>();
    for (int a = 0; a < places.size(); a++) {
      for (int b = a + 1; b < places.size(); b++) {
        Optional<SampleRange> both = places.get(a).intersect(places.get(b));
        if (both.isPresent()) {
          overlaps.add(new Overlap(a, b, both.get().length()));
        }
      }
    }
    return new LineTimes(places, overlaps);
  }
}
