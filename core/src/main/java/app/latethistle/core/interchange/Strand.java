package app.latethistle.core.interchange;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * A track beside the cut as other programs read it: pieces of files with rests between them.
 *
 * @param name what it is called
 * @param seen whether it is pictures; else it is sound
 * @param pieces in order; none begins before the one before it ends
 */
public record Strand(String name, boolean seen, List<Laid> pieces) {
  /** How much two pieces may overlap by rounding, in frames. */
  private static final double HAIR = 1e-6;

  /**
   * A piece of a file. Sound lies between frames too.
   *
   * @param name what people call it
   * @param file which it is of
   * @param at the film's frame at which it begins, 0 or more
   * @param from the file's first moment that is seen or heard, in frames of the film's rate
   * @param frames how long it lasts
   */
  public record Laid(String name, NamedFile file, double at, double from, double frames) {
    double end() {
      return at + frames;
    }
  }

  public Strand {
    pieces = List.copyOf(pieces);
  }

  /** As few tracks as hold all pieces, none over another; the first is full first. */
  static List<Strand> packed(String name, boolean seen, List<Laid> pieces) {
    List<List<Laid>> tracks = new ArrayList<>();
    for (Laid piece : pieces.stream().sorted(Comparator.comparingDouble(Laid::at)).toList()) {
      tracks.stream()
          .filter(track -> track.get(track.size() - 1).end() <= piece.at + HAIR)
          .findFirst()
          .orElseGet(
              () -> {
                tracks.add(new ArrayList<>());
                return tracks.get(tracks.size() - 1);
              })
          .add(piece);
    }
    List<Strand> strands = new ArrayList<>();
    for (List<Laid> track : tracks) {
      String called = tracks.size() == 1 ? name : name + " " + (strands.size() + 1);
      strands.add(new Strand(called, seen, track));
    }
    return strands;
  }
}
