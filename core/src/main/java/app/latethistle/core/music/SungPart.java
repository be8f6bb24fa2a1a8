package app.latethistle.core.music;

import app.latethistle.core.Refused;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * A part of a song in which somebody sings.
 *
 * @param start its first sample of the song, at 48 kHz
 * @param end the sample after its last
 */
public record SungPart(long start, long end) {
  /**
   * @throws IllegalArgumentException if it does not end after it starts
   */
  public SungPart {
    if (end <= start) {
      throw new Refused("A sung part has to end after it starts.");
    }
  }

  /** How many samples of a span it takes up. */
  public long within(long from, long to) {
    return Math.max(0, Math.min(end, to) - Math.max(start, from));
  }

  /** Parts with a span sung too: in order, those that touch made one. */
  static List<SungPart> with(List<SungPart> parts, long from, long to) {
    List<SungPart> out = new ArrayList<>();
    long start = from;
    long end = to;
    for (SungPart part : parts) {
      if (part.end < start || part.start > end) {
        out.add(part);
      } else {
        start = Math.min(start, part.start);
        end = Math.max(end, part.end);
      }
    }
    out.add(new SungPart(start, end));
    out.sort(Comparator.comparingLong(SungPart::start));
    return out;
  }

  /** Parts with nothing sung in a span. */
  static List<SungPart> without(List<SungPart> parts, long from, long to) {
    List<SungPart> out = new ArrayList<>();
    for (SungPart part : parts) {
      if (part.start < Math.min(part.end, from)) {
        out.add(new SungPart(part.start, Math.min(part.end, from)));
      }
      if (Math.max(part.start, to) < part.end) {
        out.add(new SungPart(Math.max(part.start, to), part.end));
      }
    }
    return out;
  }
}
