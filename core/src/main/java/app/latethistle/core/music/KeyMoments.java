package app.latethistle.core.music;

import app.latethistle.core.time.Samples;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** Finds the places of a song that want a picture: at most one a bar, and few of each kind. */
final class KeyMoments {
  /** Most of each kind that are told. */
  private static final int MOST = 3;

  /** Samples from one of a kind to the next. */
  private static final long APART = 4L * Samples.RATE;

  /** A change of level of so much of the song's loudest bar is one at once. */
  private static final double AT_ONCE = 0.13;

  /** An onset so many standard deviations over the mean, and twice what is near, is a hit. */
  private static final double STANDS_OUT = 6;

  private static final double SILENT = 0.06;
  private static final double SILENCE_SECONDS = 0.5;

  private record Found(KeyMoment moment, double size) {}

  private KeyMoments() {}

  static List<KeyMoment> of(Features f, BeatGrid grid, BeatSounds sounds) {
    List<Found> found = new ArrayList<>();
    levels(grid, sounds, found);
    hits(f, grid, found);
    silences(f, found);
    List<KeyMoment> moments = new ArrayList<>();
    for (KeyMoment.Kind kind : KeyMoment.Kind.values()) {
      List<KeyMoment> own = new ArrayList<>();
      found.stream()
          .filter(m -> m.moment().kind() == kind)
          .sorted(Comparator.comparingDouble(Found::size).reversed())
          .map(Found::moment)
          .filter(m -> own.stream().noneMatch(o -> Math.abs(o.at() - m.at()) < APART))
          .limit(MOST)
          .forEach(own::add);
      moments.addAll(own);
    }
    if (grid.size() > 0) {
      moments.add(new KeyMoment(grid.sampleOf(grid.size() - 1), KeyMoment.Kind.ENDING));
    }
    moments.sort(Comparator.comparingLong(KeyMoment::at));
    return moments;
  }

  /** Downbeats at which the two bars after differ much in level from the two before. */
  private static void levels(BeatGrid grid, BeatSounds sounds, List<Found> found) {
    int count = grid.beatsPerBar();
    double loudest = 1e-6;
    for (float level : sounds.level) {
      loudest = Math.max(loudest, level);
    }
    for (int i = grid.firstDownbeat() + 2 * count; i + 2 * count <= grid.size(); i += count) {
      double change =
          (mean(sounds, i, 2 * count) - mean(sounds, i - 2 * count, 2 * count)) / loudest;
      double here = (mean(sounds, i, count) - mean(sounds, i - count, count)) / loudest;
      if (Math.min(Math.abs(change), Math.abs(here)) > AT_ONCE && change * here > 0) {
        KeyMoment.Kind kind = change > 0 ? KeyMoment.Kind.DROP : KeyMoment.Kind.BREAK;
        found.add(new Found(new KeyMoment(grid.sampleOf(i), kind), Math.abs(change)));
      }
    }
  }

  private static double mean(BeatSounds sounds, int from, int count) {
    double sum = 0;
    for (int i = from; i < from + count; i++) {
      sum += sounds.level[i] / count;
    }
    return sum;
  }

  private static void hits(Features f, BeatGrid grid, List<Found> found) {
    for (int i = 0; i < grid.size(); i++) {
      int hop = (int) Math.round(Samples.toSeconds(grid.sampleOf(i)) / f.hop);
      double own = Rows.strongest(f.onsets, hop, 4);
      int reach = (int) Math.round(2 / f.hop);
      double near = 0;
      for (int t = Math.max(0, hop - reach); t < Math.min(f.length(), hop + reach); t++) {
        near = Math.abs(t - hop) > 6 ? Math.max(near, f.onsets[t]) : near;
      }
      if (own > STANDS_OUT && own > 1.6 * near) {
        found.add(new Found(new KeyMoment(grid.sampleOf(i), KeyMoment.Kind.HIT), own / near));
      }
    }
  }

  private static void silences(Features f, List<Found> found) {
    double loudest = 1e-6;
    for (int t = 0; t < f.length(); t++) {
      loudest = Math.max(loudest, level(f, t));
    }
    int from = -1;
    boolean begun = false;
    for (int t = 0; t < f.length(); t++) {
      boolean silent = level(f, t) < SILENT * loudest;
      if (silent && begun && from < 0) {
        from = t;
      } else if (!silent) {
        if (from >= 0 && (t - from) * f.hop >= SILENCE_SECONDS) {
          long at = Samples.ofSeconds(from * f.hop);
          found.add(new Found(new KeyMoment(at, KeyMoment.Kind.SILENCE), t - from));
        }
        from = -1;
        begun = true;
      }
    }
  }

  private static double level(Features f, int hop) {
    double sum = 0;
    for (float band : f.mel.frame(hop)) {
      sum += band;
    }
    return sum;
  }
}
