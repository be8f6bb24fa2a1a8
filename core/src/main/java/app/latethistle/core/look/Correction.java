package app.latethistle.core.look;

import app.latethistle.core.Refused;
import java.util.ArrayList;
import java.util.List;

/**
 * What is done to a picture's colour: first the five numbers a person reads, then its tones, then
 * ranges of its colours by themselves, then a list of the ASC; last, ranges that are meant in a
 * part of the picture.
 *
 * @param basics exposure, contrast, warmth, tint, saturation
 * @param tones black and white, where dark and light bend, curves
 * @param ranges colours that are corrected by themselves, one after the other, those in the whole
 *     picture first; at most 4
 * @param cdl what a colour decision list says
 */
public record Correction(Basics basics, Tones tones, List<ColourRange> ranges, Cdl cdl) {
  /** More than a picture needs, and than its table fills quickly. */
  public static final int MOST_RANGES = 4;

  /** The picture as it came. */
  public static final Correction NONE =
      new Correction(Basics.NONE, Tones.NONE, List.of(), Cdl.NONE);

  /**
   * @throws IllegalArgumentException if there are too many ranges
   */
  public Correction {
    ranges = List.copyOf(ranges);
    if (ranges.size() > MOST_RANGES) {
      throw new Refused("A shot has at most " + MOST_RANGES + " ranges; take one out first.");
    }
  }

  /** A correction by the five numbers alone. */
  public static Correction of(Basics basics) {
    return NONE.withBasics(basics);
  }

  /** Whether it leaves all as it is. */
  public boolean leavesAll() {
    return equals(NONE);
  }

  /** The ranges that are meant in a part of the picture. */
  public List<ColourRange> placed() {
    return ranges.stream().filter(r -> !r.where().whole()).toList();
  }

  /** The same with other numbers. */
  public Correction withBasics(Basics other) {
    return new Correction(other, tones, ranges, cdl);
  }

  /** The same with other tones. */
  public Correction withTones(Tones other) {
    return new Correction(basics, other, ranges, cdl);
  }

  /** The same with other ranges. */
  public Correction withRanges(List<ColourRange> other) {
    return new Correction(basics, tones, other, cdl);
  }

  /**
   * The same with one more mask on a range.
   *
   * @param range which one, from 0; one more than the last makes one of all colours in the mask
   */
  public Correction masked(int range, Mask mask) {
    List<ColourRange> other = new ArrayList<>(ranges);
    if (range == other.size()) {
      other.add(ColourRange.ofAll(PicturePart.in(mask), Basics.NONE));
    } else {
      ColourRange of = other.get(range);
      other.set(range, of.in(of.where().and(mask)));
    }
    return withRanges(other);
  }

  /** The same with another list. */
  public Correction withCdl(Cdl other) {
    return new Correction(basics, tones, ranges, other);
  }
}
