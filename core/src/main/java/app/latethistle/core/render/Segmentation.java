package app.latethistle.core.render;

import app.latethistle.core.time.FrameRange;
import java.util.ArrayList;
import java.util.List;

/**
 * How a film is parted into segments: at cuts, chosen by what lies near them alone, so that a
 * change of one shot leaves the segments away from it as they are.
 *
 * <p>Every cut has a rank that follows from what it begins. Of cuts that lie less than the shortest
 * segment apart the one of the higher rank is a border, so a long shot always begins a segment, and
 * short shots share one. What is still too long is parted once more, counted from its border.
 *
 * @param shortest seconds; only a film's own end may make a segment shorter
 * @param usual seconds after which a long shot is parted
 * @param longest seconds
 */
public record Segmentation(double shortest, double usual, double longest) {
  /** Longer ones cost less to encode; each begins with a key picture and an encoder's start. */
  public static final Segmentation MASTER = new Segmentation(2, 4, 6);

  /** Shorter ones are sooner there after an edit. */
  public static final Segmentation PREVIEW = new Segmentation(1, 2, 3);

  /** The segments of a program, in order. */
  public List<Segment> of(Program program) {
    List<Segment> segments = new ArrayList<>();
    List<Long> borders = borders(program);
    for (int i = 0; i + 1 < borders.size(); i++) {
      FrameRange range = new FrameRange(borders.get(i), borders.get(i + 1));
      segments.add(new Segment(i, range, program.key(range)));
    }
    return segments;
  }

  /** The frames at which segments begin, and the film's end. */
  private List<Long> borders(Program program) {
    long least = Math.max(1, program.rate().framesIn(shortest));
    long most = Math.max(least, program.rate().framesIn(longest));
    long usually = Math.max(least, Math.min(most, program.rate().framesIn(usual)));
    List<Long> cuts =
        program.cuts().stream()
            .filter(cut -> cut >= least && cut <= program.length() - least)
            .toList();
    List<String> ranks =
        cuts.stream().map(cut -> program.key(new FrameRange(cut, cut + 1))).toList();
    List<Long> borders = new ArrayList<>();
    if (program.length() > 0) {
      borders.add(0L);
    }
    for (int i = 0; i < cuts.size(); i++) {
      if (leads(i, cuts, ranks, least)) {
        part(borders, cuts, cuts.get(i), least, usually, most);
      }
    }
    if (program.length() > 0) {
      part(borders, cuts, program.length(), least, usually, most);
    }
    return borders;
  }

  /** Whether no cut near by has a higher rank; of equal ones the first leads. */
  private static boolean leads(int i, List<Long> cuts, List<String> ranks, long least) {
    for (int j = i - 1; j >= 0 && cuts.get(i) - cuts.get(j) < least; j--) {
      if (ranks.get(j).compareTo(ranks.get(i)) >= 0) {
        return false;
      }
    }
    for (int j = i + 1; j < cuts.size() && cuts.get(j) - cuts.get(i) < least; j++) {
      if (ranks.get(j).compareTo(ranks.get(i)) > 0) {
        return false;
      }
    }
    return true;
  }

  /** Adds a border, and others before it where the last one is too far. */
  private static void part(
      List<Long> borders, List<Long> cuts, long next, long least, long usually, long most) {
    long at = borders.get(borders.size() - 1);
    while (next - at > most) {
      long from = at;
      long fallback = Math.min(at + usually, next - least);
      at =
          cuts.stream()
              .filter(cut -> cut >= from + least && cut <= from + most && cut <= next - least)
              .reduce((first, second) -> second)
              .orElse(fallback);
      borders.add(at);
    }
    borders.add(next);
  }
}
