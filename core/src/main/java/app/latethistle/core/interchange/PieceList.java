package app.latethistle.core.interchange;

import app.latethistle.core.film.Film;
import app.latethistle.core.film.Marker;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.film.Run;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A film's cut as other programs read it: pieces of files one after the other, without what is done
 * to their pictures.
 *
 * @param pieces in order; they follow each other without gaps
 * @param markers by the frames they are at
 */
public record PieceList(String title, FrameRate rate, List<Piece> pieces, List<Mark> markers) {
  public PieceList {
    pieces = List.copyOf(pieces);
    markers = List.copyOf(markers);
  }

  /**
   * A shot, or a gap.
   *
   * @param name the shot's
   * @param file its take's; empty for a gap
   * @param material frames of the film's rate that the file has
   * @param source the file's frames that are shown
   * @param at the film's frames, from cut to cut
   * @param speed in percent on the whole, negative for reverse, 0 for a picture that is held
   * @param mixes frames in which the piece before is still seen at its start; empty at a plain cut
   */
  public record Piece(
      String name,
      Optional<NamedFile> file,
      long material,
      FrameRange source,
      FrameRange at,
      int speed,
      FrameRange mixes) {}

  /** A marker. */
  public record Mark(long frame, String note) {}

  /** What shots and files are called. */
  public interface Names {
    /** The name of a shot of the cut. */
    String shot(Placement shot);

    /** The name of a take's file. */
    String file(Take take);
  }

  /** The cut of a film. */
  public static PieceList of(String title, Resolved film, Names names) {
    Film cut = film.film();
    List<Piece> pieces = new ArrayList<>();
    for (int i = 0; i < cut.placements().size(); i++) {
      Placement p = cut.placements().get(i);
      FrameRange at = film.cutting().rangeOf(i);
      if (at.isEmpty()) {
        continue;
      }
      Take take = p.hasPicture() ? film.takes().get(p.take()) : null;
      FrameRange mixes = film.cutting().overlaps().get(i).frames();
      pieces.add(
          new Piece(
              p.hasPicture() ? names.shot(p) : "gap",
              Optional.ofNullable(take).map(t -> new NamedFile(names.file(t), t.media())),
              take == null ? at.length() : take.frames(),
              take == null
                  ? FrameRange.ofLength(0, at.length())
                  : p.run().shown(p.in(), take.frames(), at.length()),
              at,
              take == null ? 100 : speed(p.run()),
              mixes));
    }
    List<Mark> marks = new ArrayList<>();
    Map<String, Long> frames = film.cutting().beside().markers();
    for (Marker marker : cut.markers()) {
      Long frame = frames.get(marker.id());
      if (frame != null) {
        marks.add(new Mark(frame, marker.note()));
      }
    }
    marks.sort((a, b) -> Long.compare(a.frame, b.frame));
    return new PieceList(title, film.rate(), pieces, marks);
  }

  private static int speed(Run run) {
    int mean = (int) Math.round(run.mean());
    return switch (run.way()) {
      case FORWARD, BACK_AND_FORTH -> mean;
      case REVERSE -> -mean;
      case HOLD -> 0;
    };
  }
}
