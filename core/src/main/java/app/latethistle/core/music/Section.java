package app.latethistle.core.music;

import java.util.List;
import java.util.Locale;

/**
 * A part of a song that is of one kind.
 *
 * @param start where it begins, in samples at 48 kHz: on a downbeat, or 0
 * @param end where the next one begins, or the song ends
 * @param kind a letter; sections that sound alike have the same one
 * @param name what it does in the song, by its loudness and place
 * @param energy how loud it is against the loudest section, 0 to 1
 */
public record Section(long start, long end, char kind, Name name, double energy) {
  /** The section between the downbeats nearest to its borders; the song's ends stay. */
  public Section onBars(BeatGrid grid) {
    return new Section(
        start == 0 ? 0 : grid.nearestDownbeat(start),
        grid.size() > 0 && end > grid.sampleOf(grid.size() - 1) ? end : grid.nearestDownbeat(end),
        kind,
        name,
        energy);
  }

  /** "build B": what it does, and the letter of its kind where another of them sounds like it. */
  public String called(List<Section> all) {
    String does = name.name().toLowerCase(Locale.ROOT);
    boolean again = all.stream().filter(other -> other.kind == kind).count() > 1;
    return again ? does + " " + kind : does;
  }

  /** The section with other borders. */
  Section between(long newStart, long newEnd) {
    return new Section(newStart, newEnd, kind, name, energy);
  }

  /** This and the section after it as one: called as the longer is, as loud as both in the mean. */
  Section with(Section next) {
    double mine = end - start;
    double its = next.end - next.start;
    Section longer = its > mine ? next : this;
    double mean = (mine * energy + its * next.energy) / Math.max(1, mine + its);
    return new Section(start, next.end, longer.kind, longer.name, mean);
  }

  /**
   * The border nearest to a place, as the number of the section that begins there; -1 if there is
   * one section or none.
   */
  static int borderNear(List<Section> sections, long sample) {
    int border = -1;
    for (int i = 1; i < sections.size(); i++) {
      long away = Math.abs(sections.get(i).start() - sample);
      if (border < 0 || away < Math.abs(sections.get(border).start() - sample)) {
        border = i;
      }
    }
    return border;
  }

  /** What a section does. */
  public enum Name {
    OPENING,
    QUIET,
    BUILD,
    FULL,
    CODA
  }
}
