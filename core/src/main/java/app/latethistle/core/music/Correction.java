package app.latethistle.core.music;

import app.latethistle.core.time.Samples;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * What a person put right in a grid that was heard. Corrections say where in the song they hold, in
 * samples at 48 kHz, never which beat by number, so that they can be made again on another analysis
 * of the song. One that finds nothing to correct leaves the grid as it is.
 */
public sealed interface Correction {
  /** Samples that are left between neighbouring beats: 50 ms. */
  long CLOSEST = Samples.RATE / 20;

  /** The grid with this put right. */
  default BeatGrid apply(BeatGrid grid) {
    return grid;
  }

  /** The sections with this put right. */
  default List<Section> applyTo(List<Section> sections) {
    return sections;
  }

  /** The sung parts with this put right. */
  default List<SungPart> applyToSung(List<SungPart> parts) {
    return parts;
  }

  /** What was done, for the undo button: "halve the tempo". */
  String label();

  /** The grid with all of them put right, in order. */
  static BeatGrid all(BeatGrid heard, List<Correction> corrections) {
    BeatGrid grid = heard;
    for (Correction correction : corrections) {
      grid = correction.apply(grid);
    }
    return grid;
  }

  /** The sections with all of them put right, in order. */
  static List<Section> allSections(List<Section> heard, List<Correction> corrections) {
    List<Section> sections = heard;
    for (Correction correction : corrections) {
      sections = correction.applyTo(sections);
    }
    return sections;
  }

  /** The sung parts with all of them put right, in order. */
  static List<SungPart> allSung(List<SungPart> known, List<Correction> corrections) {
    List<SungPart> parts = known;
    for (Correction correction : corrections) {
      parts = correction.applyToSung(parts);
    }
    return parts;
  }

  /** Counts every second beat only; downbeats stay where they are. */
  record Halve() implements Correction {
    @Override
    public BeatGrid apply(BeatGrid grid) {
      if (grid.size() < 4) {
        return grid;
      }
      int first = grid.firstDownbeat() % 2;
      int n = (grid.size() - first + 1) / 2;
      long[] beats = new long[n];
      float[] sureness = new float[n];
      for (int i = 0; i < n; i++) {
        beats[i] = grid.sampleOf(first + 2 * i);
        sureness[i] = grid.sureness(first + 2 * i);
      }
      int downbeat = (grid.firstDownbeat() - first) / 2;
      return grid.with(beats, sureness, Math.floorMod(downbeat, grid.beatsPerBar()));
    }

    @Override
    public String label() {
      return "halve the tempo";
    }
  }

  /** Counts a beat half-way between each two; nothing is changed where there is no room. */
  record Twice() implements Correction {
    @Override
    public BeatGrid apply(BeatGrid grid) {
      if (grid.size() < 2) {
        return grid;
      }
      for (int i = 1; i < grid.size(); i++) {
        if (grid.sampleOf(i) - grid.sampleOf(i - 1) < 2 * CLOSEST) {
          return grid;
        }
      }
      int n = 2 * grid.size() - 1;
      long[] beats = new long[n];
      float[] sureness = new float[n];
      for (int i = 0; i < n; i++) {
        int before = i / 2;
        int after = (i + 1) / 2;
        beats[i] = (grid.sampleOf(before) + grid.sampleOf(after)) / 2;
        sureness[i] = Math.min(grid.sureness(before), grid.sureness(after));
      }
      return grid.with(beats, sureness, 2 * grid.firstDownbeat() % grid.beatsPerBar());
    }

    @Override
    public String label() {
      return "double the tempo";
    }
  }

  /**
   * Makes the beat nearest to a place begin a bar.
   *
   * @param at in samples
   */
  record Downbeat(long at) implements Correction {
    @Override
    public BeatGrid apply(BeatGrid grid) {
      int beat = grid.nearest(at);
      return beat < 0 ? grid : grid.inBars(grid.beatsPerBar(), beat % grid.beatsPerBar());
    }

    @Override
    public String label() {
      return "move the downbeat";
    }
  }

  /**
   * Counts so many beats in a bar; the first downbeat stays one.
   *
   * @param beats 2 to 12
   */
  record Bars(int beats) implements Correction {
    /**
     * @throws IllegalArgumentException if the count is outside 2 to 12
     */
    public Bars {
      if (beats < 2 || beats > 12) {
        throw new IllegalArgumentException(
            "A bar of " + beats + " beats; give 2 to 12 beats a bar.");
      }
    }

    @Override
    public BeatGrid apply(BeatGrid grid) {
      return grid.inBars(beats, grid.firstDownbeat() % beats);
    }

    @Override
    public String label() {
      return "count " + beats + " in a bar";
    }
  }

  /**
   * Moves the beat nearest to a place to another; it stays between its neighbours.
   *
   * @param from in samples
   * @param to in samples
   */
  record MoveBeat(long from, long to) implements Correction {
    @Override
    public BeatGrid apply(BeatGrid grid) {
      int beat = grid.nearest(from);
      if (beat < 0) {
        return grid;
      }
      long[] beats = grid.samples();
      float[] sureness = grid.surenesses();
      long least = beat == 0 ? 0 : beats[beat - 1] + CLOSEST;
      long most = beat + 1 == beats.length ? Long.MAX_VALUE : beats[beat + 1] - CLOSEST;
      if (least > most) {
        return grid;
      }
      beats[beat] = Math.max(least, Math.min(most, to));
      sureness[beat] = 1;
      return grid.with(beats, sureness, grid.firstDownbeat());
    }

    @Override
    public String label() {
      return "move a beat";
    }
  }

  /**
   * Spaces the beats of a span evenly between its first and last.
   *
   * @param from in samples
   * @param to in samples, after {@code from}
   */
  record HoldTempo(long from, long to) implements Correction {
    @Override
    public BeatGrid apply(BeatGrid grid) {
      int first = grid.nearest(Math.min(from, to));
      int last = grid.nearest(Math.max(from, to));
      if (first < 0 || last - first < 2) {
        return grid;
      }
      long[] beats = grid.samples();
      float[] sureness = grid.surenesses();
      double gap = (double) (beats[last] - beats[first]) / (last - first);
      long start = beats[first];
      for (int i = first; i <= last; i++) {
        beats[i] = start + Math.round((i - first) * gap);
        sureness[i] = 1;
      }
      return grid.with(beats, sureness, grid.firstDownbeat());
    }

    @Override
    public String label() {
      return "hold the tempo";
    }
  }

  /**
   * Beats as a person tapped them. The steady tempo through the taps is counted over the whole
   * song; a beat that was heard within an eighth of a gap of where the count puts one is kept. What
   * all taps are late by against what was heard, up to a fifth of a gap, is taken for the delay of
   * hand and machine.
   *
   * @param at in samples, rising, four or more
   */
  record Taps(List<Long> at) implements Correction {
    /**
     * @throws IllegalArgumentException with fewer than four taps, or if two are less than 0.1 s
     *     apart
     */
    public Taps {
      at = List.copyOf(at);
      if (at.size() < 4) {
        throw new IllegalArgumentException("Tap four beats or more; there were " + at.size() + ".");
      }
      for (int i = 1; i < at.size(); i++) {
        if (at.get(i) - at.get(i - 1) < 2 * CLOSEST) {
          throw new IllegalArgumentException(
              "Tap " + (i + 1) + " comes less than 0.1 s after the last; tap the beats again.");
        }
      }
    }

    @Override
    public BeatGrid apply(BeatGrid grid) {
      double gap = gap();
      double phase = phase(gap) - delay(grid, gap);
      long end = grid.size() == 0 ? at.get(at.size() - 1) : grid.sampleOf(grid.size() - 1);
      List<Long> beats = new ArrayList<>();
      List<Float> sureness = new ArrayList<>();
      double place = phase - Math.floor(phase / gap) * gap;
      while (place <= end + gap / 8) {
        int near = grid.nearest(Math.round(place));
        boolean heard = near >= 0 && Math.abs(grid.sampleOf(near) - place) < gap / 8;
        long beat = heard ? grid.sampleOf(near) : Math.round(place);
        if (beats.isEmpty() || beat > beats.get(beats.size() - 1)) {
          beats.add(beat);
          sureness.add(heard ? grid.sureness(near) : 0.5f);
        }
        place = (heard ? beat : place) + gap;
      }
      long[] samples = beats.stream().mapToLong(Long::longValue).toArray();
      float[] sure = new float[samples.length];
      for (int i = 0; i < sure.length; i++) {
        sure[i] = sureness.get(i);
      }
      BeatGrid counted = grid.with(samples, sure, 0);
      if (grid.size() == 0) {
        return counted;
      }
      return new Downbeat(grid.sampleOf(grid.firstDownbeat())).apply(counted);
    }

    /** Samples a beat: the median distance of taps. */
    private double gap() {
      long[] gaps = new long[at.size() - 1];
      for (int i = 0; i < gaps.length; i++) {
        gaps[i] = at.get(i + 1) - at.get(i);
      }
      Arrays.sort(gaps);
      double median = gaps[gaps.length / 2];
      // The whole stretch tells more than one gap, once it is known how many gaps it holds.
      long stretch = at.get(at.size() - 1) - at.get(0);
      return stretch / Math.max(1, Math.rint(stretch / median));
    }

    /** Where a count that fits the taps best passes, in samples. */
    private double phase(double gap) {
      double sum = 0;
      for (int i = 0; i < at.size(); i++) {
        double count = Math.rint((at.get(i) - at.get(0)) / gap);
        sum += at.get(i) - count * gap;
      }
      return sum / at.size();
    }

    private double delay(BeatGrid grid, double gap) {
      double[] late =
          at.stream()
              .filter(tap -> grid.nearest(tap) >= 0)
              .mapToDouble(tap -> tap - grid.sampleOf(grid.nearest(tap)))
              .filter(d -> Math.abs(d) < gap / 5)
              .sorted()
              .toArray();
      return late.length * 2 < at.size() ? 0 : late[late.length / 2];
    }

    @Override
    public String label() {
      return "tap the beats";
    }

    /** The tempo that was tapped, in beats a minute. */
    public double bpm() {
      return 60.0 * Samples.RATE / gap();
    }
  }

  /**
   * Takes beats and bars as they are written elsewhere.
   *
   * @param beats in samples, rising by 50 ms or more
   * @param beatsPerBar 2 to 12
   * @param firstDownbeat the first beat that begins a bar, below {@code beatsPerBar}
   */
  record TempoMap(List<Long> beats, int beatsPerBar, int firstDownbeat) implements Correction {
    /**
     * @throws IllegalArgumentException if there are too few beats, or they lie too close
     */
    public TempoMap {
      beats = List.copyOf(beats);
      if (beats.size() < 4) {
        throw new IllegalArgumentException(
            "A tempo map with " + beats.size() + " beats in the song; 4 or more are needed.");
      }
      for (int i = 1; i < beats.size(); i++) {
        if (beats.get(i) - beats.get(i - 1) < CLOSEST) {
          throw new IllegalArgumentException(
              "Beats " + i + " and " + (i + 1) + " of the tempo map lie under 50 ms apart.");
        }
      }
    }

    @Override
    public BeatGrid apply(BeatGrid grid) {
      float[] sure = new float[beats.size()];
      Arrays.fill(sure, 1);
      long[] samples = beats.stream().mapToLong(b -> b).toArray();
      return new BeatGrid(samples, sure, beatsPerBar, firstDownbeat, 1);
    }

    @Override
    public String label() {
      return "take the tempo map";
    }
  }

  /**
   * Begins a new section where one goes on.
   *
   * @param at in samples
   */
  record AddBorder(long at) implements Correction {
    @Override
    public List<Section> applyTo(List<Section> sections) {
      List<Section> parts = new ArrayList<>();
      for (Section s : sections) {
        if (s.start() < at && at < s.end()) {
          parts.add(s.between(s.start(), at));
          parts.add(s.between(at, s.end()));
        } else {
          parts.add(s);
        }
      }
      return parts;
    }

    @Override
    public String label() {
      return "begin a section";
    }
  }

  /**
   * Moves the border of sections nearest to a place to another; it stays between its neighbours.
   *
   * @param from in samples
   * @param to in samples
   */
  record MoveBorder(long from, long to) implements Correction {
    @Override
    public List<Section> applyTo(List<Section> sections) {
      int border = -1;
      for (int i = 1; i < sections.size(); i++) {
        long away = Math.abs(sections.get(i).start() - from);
        if (border < 0 || away < Math.abs(sections.get(border).start() - from)) {
          border = i;
        }
      }
      if (border < 0) {
        return sections;
      }
      Section before = sections.get(border - 1);
      Section after = sections.get(border);
      if (to <= before.start() || to >= after.end()) {
        return sections;
      }
      List<Section> moved = new ArrayList<>(sections);
      moved.set(border - 1, before.between(before.start(), to));
      moved.set(border, after.between(to, after.end()));
      return moved;
    }

    @Override
    public String label() {
      return "move a section's border";
    }
  }

  /**
   * Says whether somebody sings in a span.
   *
   * @param from in samples
   * @param to in samples, after {@code from}
   */
  record Sung(long from, long to, boolean sung) implements Correction {
    /**
     * @throws IllegalArgumentException if the span is empty
     */
    public Sung {
      if (to <= from) {
        throw new IllegalArgumentException("Mark a span of the song; this one is empty.");
      }
    }

    @Override
    public List<SungPart> applyToSung(List<SungPart> parts) {
      return sung ? SungPart.with(parts, from, to) : SungPart.without(parts, from, to);
    }

    @Override
    public String label() {
      return sung ? "mark a sung part" : "unmark a sung part";
    }
  }
}
