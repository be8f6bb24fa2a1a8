package app.latethistle.core.plan;

import app.latethistle.core.music.Section;
import java.util.List;

/**
 * How a film is to move. Each is a proposal of its own: they differ in how much shorter shots are
 * where the music is strong, in how gladly a cut falls on another beat than a downbeat, and in how
 * much sooner than wanted the film may end. The numbers are ours, set by eye on the demo's films.
 */
public enum Pace {
  /** Shots of like lengths, on downbeats. */
  CALM(0, 2, 1, false),
  /** Somewhat shorter shots where the music is strong. */
  EVEN(1.4, 1, 1, false),
  /**
   * Quick cuts, most of all in strong parts, on any beat or between two; the film may end a seventh
   * sooner.
   */
  BRISK(2.5, 0.3, 6 / 7.0, true);

  /** What the speed of the cut is raised by from the song's mean energy to the most. */
  final double contrast;

  /** What a cut off the downbeat costs, over what it costs at an even pace. */
  final double beats;

  /** The share of the wanted length that shots are paced for, and that the film is to reach. */
  final double least;

  /** Whether a cut may fall half-way between two beats. */
  final boolean offbeats;

  Pace(double contrast, double beats, double least, boolean offbeats) {
    this.offbeats = offbeats;
    this.contrast = contrast;
    this.beats = beats;
    this.least = least;
  }

  /**
   * How quickly the sections of a song move of themselves: 1 in the mean, 2 in shots half as long.
   */
  public List<Double> speeds(List<Section> sections) {
    double mean = sections.stream().mapToDouble(Section::energy).average().orElse(0);
    return sections.stream().map(s -> Math.exp(contrast * (s.energy() - mean))).toList();
  }
}
